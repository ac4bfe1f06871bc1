<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Edf;

use IvoryPace\InvalidValue;

/** Reads EDF and EDF+ files of anybody, and says exactly what is wrong with one. */
final class EdfReader
{
    private const NOTES = 'EDF Annotations';

    private const MOST_SIGNALS = 256;

    /** Bytes; an hour of two belts has 360,000, and all of it has to lie in memory as numbers. */
    public const LARGEST = 4_000_000;

    /** @var list<int> widths of what is said of each signal */
    private const WIDTHS = [16, 80, 8, 8, 8, 8, 8, 80, 8, 32];

    private function __construct(private readonly string $bytes)
    {
    }

    /** @throws InvalidValue with the exact reason */
    public static function read(string $bytes): EdfFile
    {
        return (new self($bytes))->file();
    }

    private function file(): EdfFile
    {
        $length = strlen($this->bytes);
        match (true) {
            $length > self::LARGEST => $this->refuse('it is larger than '.(self::LARGEST / 1_000_000).' MB'),
            $length < 256 => $this->refuse("its head has 256 bytes, and there are $length"),
            $this->bytes[0] === "\xFF" => $this->refuse('it is a BDF file, with numbers of three bytes; save it as EDF'),
            default => null,
        };
        if (trim(substr($this->bytes, 0, 8)) !== '0') {
            $this->refuse('it does not begin with the version 0');
        }
        $signals = $this->whole(252, 4, 'the number of signals');
        if ($signals < 1 || $signals > self::MOST_SIGNALS) {
            $this->refuse("it has $signals signals; 1 to ".self::MOST_SIGNALS.' can be read');
        }
        $head = 256 * ($signals + 1);
        if ($this->whole(184, 8, 'the length of the head') !== $head || $length < $head) {
            $this->refuse("a head for $signals signals has $head bytes");
        }
        $all = $this->signals($signals);
        $seconds = $this->text(244, 8);
        if (! is_numeric($seconds) || (float) $seconds < 0 || (float) $seconds > 3600) {
            $this->refuse("a record cannot last “{$seconds}” s");
        }
        $perRecord = array_sum(array_column($all, 8));
        $records = $this->countOf($head, 2 * (int) $perRecord);

        return $this->of($all, $seconds, $head, $records);
    }

    /** @return list<list<string>> by signal */
    private function signals(int $count): array
    {
        $all = array_fill(0, $count, []);
        $at = 256;
        foreach (self::WIDTHS as $width) {
            for ($signal = 0; $signal < $count; $signal++, $at += $width) {
                $all[$signal][] = $this->text($at, $width);
            }
        }
        foreach ($all as $number => $signal) {
            foreach ([5 => 'lowest whole number', 6 => 'highest whole number', 8 => 'number of samples in a record'] as $field => $what) {
                if (preg_match('/^[+-]?\d{1,7}$/D', $signal[$field]) !== 1) {
                    $this->refuse('signal '.($number + 1).": its $what, “{$signal[$field]}”, is no whole number");
                }
            }
            if ((int) $signal[8] < 1) {
                $this->refuse('signal '.($number + 1).' has no samples');
            }
        }

        return $all;
    }

    private function countOf(int $head, int $size): int
    {
        $said = $this->whole(236, 8, 'the number of records');
        $there = strlen($this->bytes) - $head;
        $whole = intdiv($there, $size);
        if ($said === -1) {
            // It was not closed properly: as many as there are.
            $said = $whole;
        }
        if ($said < 1) {
            $this->refuse('it has no records');
        }
        if ($said > $whole) {
            $this->refuse('it ends in record '.($whole + 1)." of $said");
        }
        if ($there > $said * $size) {
            $this->refuse('after its '.$said.' records there are '.($there - $said * $size).' bytes more');
        }

        return $said;
    }

    /** @param  list<list<string>>  $all */
    private function of(array $all, string $seconds, int $head, int $records): EdfFile
    {
        $kind = $this->text(192, 44);
        $isPlus = str_starts_with($kind, EdfFile::CONTINUOUS) || str_starts_with($kind, EdfFile::BROKEN);
        $values = array_fill(0, count($all), []);
        $onsets = $notes = [];
        $at = $head;
        for ($record = 0; $record < $records; $record++) {
            $said = [];
            foreach ($all as $number => $signal) {
                $bytes = substr($this->bytes, $at, 2 * (int) $signal[8]);
                $at += strlen($bytes);
                if ($isPlus && $signal[0] === self::NOTES) {
                    $said = [...$said, ...$this->notes($bytes, $record)];
                } else {
                    $values[$number][] = $bytes;
                }
            }
            if ($isPlus) {
                $onsets[] = $this->onset($said, $record);
                $notes[] = array_values(array_filter(
                    array_map(fn (EdfNote $note, int $n) => $n === 0 ? self::withoutFirst($note) : $note, $said, array_keys($said)),
                ));
            }
        }

        return new EdfFile(
            $this->text(8, 80), $this->text(88, 80), $this->text(168, 8), $this->text(176, 8), $kind, $seconds,
            $this->channels($all, $values, $isPlus), $onsets, $notes, $isPlus ? self::forNotes($all) : 0,
        );
    }

    /**
     * @param  list<list<string>>  $all
     * @param  array<int, list<string>>  $values
     * @return list<EdfChannel>
     */
    private function channels(array $all, array $values, bool $isPlus): array
    {
        $channels = [];
        foreach ($all as $number => $signal) {
            if ($isPlus && $signal[0] === self::NOTES) {
                continue;
            }
            $numbers = array_map(
                fn (int $value) => $value > EdfChannel::HIGHEST ? $value - 65536 : $value,
                array_values(unpack('v*', implode('', $values[$number])) ?: []),
            );
            try {
                $channels[] = new EdfChannel(
                    $signal[0], $signal[2], $signal[3], $signal[4], (int) $signal[5], (int) $signal[6], max(1, (int) $signal[8]), $numbers,
                    $signal[1], $signal[7], $signal[9],
                );
            } catch (InvalidValue $problem) {
                $this->refuse(lcfirst(rtrim($problem->getMessage(), '.')));
            }
        }

        return $channels;
    }

    /** @return list<EdfNote> */
    private function notes(string $bytes, int $record): array
    {
        $notes = [];
        foreach (explode("\x00", rtrim($bytes, "\x00")) as $each) {
            if ($each === '') {
                continue;
            }
            if (preg_match('/^([+-]\d+(?:\.\d*)?)(?:\x15(\d+(?:\.\d*)?))?\x14(.*)\x14$/Ds', $each, $parts) !== 1) {
                $this->refuse('what is noted in record '.($record + 1).' cannot be read');
            }
            $notes[] = new EdfNote($parts[1], $parts[2], explode("\x14", $parts[3]));
        }

        return $notes;
    }

    /** @param  list<EdfNote>  $said */
    private function onset(array $said, int $record): string
    {
        $first = $said[0] ?? null;
        if ($first === null || $first->texts[0] !== '') {
            $this->refuse('record '.($record + 1).' does not say when it starts');
        }

        return $first->at;
    }

    /** The first note of a record says when it starts, and may say more. */
    private static function withoutFirst(EdfNote $note): ?EdfNote
    {
        $more = array_slice($note->texts, 1);

        return $more === [] ? null : new EdfNote($note->at, $note->lasts, $more);
    }

    /** @param  list<list<string>>  $all */
    private static function forNotes(array $all): int
    {
        return array_sum(array_map(fn (array $signal) => $signal[0] === self::NOTES ? (int) $signal[8] : 0, $all));
    }

    private function text(int $at, int $width): string
    {
        $text = substr($this->bytes, $at, $width);
        if (preg_match('/[\x00-\x1F\x7F]/', $text) === 1) {
            $this->refuse('its head holds signs that are no text, at byte '.$at);
        }

        return trim(mb_convert_encoding($text, 'UTF-8', 'ISO-8859-1'));
    }

    private function whole(int $at, int $width, string $what): int
    {
        $text = $this->text($at, $width);

        return preg_match('/^-?\d{1,8}$/D', $text) === 1 ? (int) $text : $this->refuse("$what, “{$text}”, is no whole number");
    }

    private function refuse(string $why): never
    {
        throw InvalidValue::because("This EDF file cannot be read: $why. Nothing was stored.");
    }
}
