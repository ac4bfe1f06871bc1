<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;

/** Traces as a table: the moment in s, and a column for each channel. Where nothing came there is no line. */
final class TraceCsv
{
    private const TIME = 't_s';

    /** Names under which others write the moment. */
    private const TIMES = ['t', self::TIME, 't (s)', 'time', 'time (s)', 'time_s', 'seconds', 's'];

    /** Bytes. */
    public const LARGEST = 4_000_000;

    private const MOST_COLUMNS = 20;

    private const DECIMALS = 6;

    /**
     * @param  non-empty-array<string, Trace>  $traces  by channel, of the same moments
     *
     * @throws InvalidValue when they are not of the same moments
     */
    public static function write(array $traces): string
    {
        $first = array_values($traces)[0];
        foreach ($traces as $trace) {
            if (count($trace->values) !== count($first->values)) {
                throw InvalidValue::because('What is saved together has to be recorded together.');
            }
        }
        $lines = [implode(',', [self::TIME, ...array_keys($traces)])];
        foreach ($first->values as $n => $value) {
            if ($first->missing($n, $n) === 0.0) {
                $cells = array_map(fn (Trace $trace) => self::print($trace->values[$n]), array_values($traces));
                $lines[] = implode(',', [number_format($first->at($n), 3, '.', ''), ...$cells]);
            }
        }

        return implode("\r\n", $lines)."\r\n";
    }

    /**
     * A table of anybody: a line of names first; commas between, or semicolons with decimal commas.
     *
     * @return non-empty-array<string, list<array{float, float}>> s and value, by channel; an empty cell is no value
     *
     * @throws InvalidValue with the line and what is wrong in it
     */
    public static function read(string $text): array
    {
        $isText = mb_check_encoding($text, 'UTF-8') && ! str_contains($text, "\0");
        if (strlen($text) > self::LARGEST || ! $isText) {
            self::refuse($isText ? 'it is larger than '.(self::LARGEST / 1_000_000).' MB' : 'it is no text');
        }
        $lines = preg_split('/\r\n|\r|\n/', rtrim(preg_replace('/^\x{FEFF}/u', '', $text) ?? '')) ?: [];
        $between = substr_count($lines[0] ?? '', ';') > substr_count($lines[0] ?? '', ',') ? ';' : ',';
        [$time, $names] = self::head($lines[0] ?? '', $between);
        $samples = array_fill_keys($names, []);
        foreach (array_slice($lines, 1, null, true) as $number => $line) {
            $cells = array_map(trim(...), explode($between, $line));
            if (count($cells) !== count($names) + 1) {
                self::refuse('line '.($number + 1).' has '.count($cells).' columns, and the first '.(count($names) + 1));
            }
            $at = self::number($cells[$time], $between, $number + 1);
            unset($cells[$time]);
            foreach (array_values($cells) as $n => $cell) {
                if ($cell !== '') {
                    $samples[$names[$n]][] = [$at, self::number($cell, $between, $number + 1)];
                }
            }
        }

        return $samples;
    }

    /**
     * @param  non-empty-string  $between
     * @return array{int, non-empty-list<string>} which column is the moment, and the names of the others
     */
    private static function head(string $line, string $between): array
    {
        $names = array_map(fn (string $name) => trim($name, " \t\""), explode($between, $line));
        $times = array_keys(array_intersect(array_map(mb_strtolower(...), $names), self::TIMES));
        if (count($times) !== 1) {
            self::refuse('its first line names one column '.self::TIME.', with the moment in seconds, and the channels');
        }
        unset($names[$times[0]]);
        $names = array_values($names);
        $isEachAnother = ! in_array('', $names, true) && count(array_unique($names)) === count($names);
        if ($names === [] || count($names) > self::MOST_COLUMNS || ! $isEachAnother) {
            self::refuse('its first line names 1 to '.self::MOST_COLUMNS.' channels, each by another name');
        }

        return [$times[0], $names];
    }

    private static function number(string $cell, string $between, int $line): float
    {
        $text = $between === ';' ? str_replace(',', '.', $cell) : $cell;

        return is_numeric($text) && is_finite((float) $text) ? (float) $text
            : self::refuse("line $line: ".InvalidValue::quoted($cell).' is no number');
    }

    private static function print(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, self::DECIMALS, '.', ''), '0'), '.');

        return $text === '-0' ? '0' : $text;
    }

    private static function refuse(string $why): never
    {
        throw InvalidValue::because("This table cannot be read: $why. Nothing was stored.");
    }
}
