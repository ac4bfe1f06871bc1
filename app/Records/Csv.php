<?php

declare(strict_types=1);

namespace App\Records;

/**
 * A table that a spreadsheet opens without doing anything: what it would take for a formula is marked as text, numbers stay
 * numbers (RFC 4180; the letters that begin a formula are common practice).
 */
final class Csv
{
    private const BEGINS_A_FORMULA = ['=', '+', '-', '@', "\t", "\r", "\n"];

    /**
     * @param  list<string>  $heads  with the unit of each column
     * @param  iterable<list<string|int|float|null>>  $rows
     */
    public static function of(array $heads, iterable $rows): string
    {
        $text = self::line($heads);
        foreach ($rows as $row) {
            $text .= self::line($row);
        }

        return $text;
    }

    /** @param  list<string|int|float|null>  $cells */
    private static function line(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\r\n";
    }

    private static function cell(string|int|float|null $value): string
    {
        if (! is_string($value)) {
            return $value === null ? '' : (string) json_encode($value);
        }
        $text = in_array(mb_substr($value, 0, 1), self::BEGINS_A_FORMULA, true) ? "'$value" : $value;

        return preg_match('/[",\r\n\']/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
