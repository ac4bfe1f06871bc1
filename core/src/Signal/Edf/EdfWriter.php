<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Edf;

use IvoryPace\InvalidValue;

/** An EDF file as bytes. */
final class EdfWriter
{
    /** Whole bytes of a number in a record. */
    private const BYTES = 2;

    /** @throws InvalidValue when something does not fit */
    public static function bytes(EdfFile $file): string
    {
        $channels = $file->channels;
        $hasNotes = $file->noteSamples > 0;
        $signals = count($channels) + ($hasNotes ? 1 : 0);
        $head = self::text('0', 8).self::text($file->patient, 80).self::text($file->recording, 80).self::text($file->date, 8)
            .self::text($file->time, 8).self::text((string) (256 * ($signals + 1)), 8).self::text($file->kind, 44)
            .self::text((string) $file->records(), 8).self::text($file->recordSeconds, 8).self::text((string) $signals, 4);
        foreach (self::fields($channels, $hasNotes ? $file->noteSamples : null) as [$width, $values]) {
            foreach ($values as $value) {
                $head .= self::text($value, $width);
            }
        }

        return $head.self::records($file);
    }

    /**
     * @param  list<EdfChannel>  $channels
     * @return list<array{int, list<string>}> width, and one for each signal; notes come last
     */
    private static function fields(array $channels, ?int $noteSamples): array
    {
        $each = fn (callable $of, string $ofNotes) => [...array_map($of, $channels), ...($noteSamples === null ? [] : [$ofNotes])];

        return [
            [16, $each(fn (EdfChannel $channel) => $channel->label, 'EDF Annotations')],
            [80, $each(fn (EdfChannel $channel) => $channel->transducer, '')],
            [8, $each(fn (EdfChannel $channel) => $channel->unit, '')],
            [8, $each(fn (EdfChannel $channel) => $channel->physicalMin, '-1')],
            [8, $each(fn (EdfChannel $channel) => $channel->physicalMax, '1')],
            [8, $each(fn (EdfChannel $channel) => (string) $channel->digitalMin, (string) EdfChannel::LOWEST)],
            [8, $each(fn (EdfChannel $channel) => (string) $channel->digitalMax, (string) EdfChannel::HIGHEST)],
            [80, $each(fn (EdfChannel $channel) => $channel->prefilter, '')],
            [8, $each(fn (EdfChannel $channel) => (string) $channel->perRecord, (string) $noteSamples)],
            [32, $each(fn (EdfChannel $channel) => $channel->reserved, '')],
        ];
    }

    private static function records(EdfFile $file): string
    {
        $bytes = '';
        for ($record = 0, $count = $file->records(); $record < $count; $record++) {
            foreach ($file->channels as $channel) {
                $values = array_slice($channel->values, $record * $channel->perRecord, $channel->perRecord);
                $bytes .= pack('v*', ...array_map(fn (int $value) => $value & 0xFFFF, $values));
            }
            if ($file->noteSamples > 0) {
                $bytes .= self::notes($file, $record);
            }
        }

        return $bytes;
    }

    private static function notes(EdfFile $file, int $record): string
    {
        $bytes = ($file->onsets[$record] ?? '+0')."\x14\x14\x00";
        foreach ($file->notes[$record] ?? [] as $note) {
            $bytes .= $note->bytes();
        }
        if (strlen($bytes) > self::BYTES * $file->noteSamples) {
            throw InvalidValue::because('There is more to say of second '.(int) $file->startOf($record).' than has a place in the file.');
        }

        return str_pad($bytes, self::BYTES * $file->noteSamples, "\x00");
    }

    private static function text(string $text, int $width): string
    {
        if (strlen($text) > $width || preg_match('/[^\x20-\x7E]/', $text) === 1) {
            throw InvalidValue::because("“{$text}” has no place in an EDF file: at most $width plain signs.");
        }

        return str_pad($text, $width);
    }
}
