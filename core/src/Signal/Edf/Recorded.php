<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Edf;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Trace;

/**
 * Traces that were recorded together, as a file. Where nothing came for a second or longer the file has a gap; a last record that is
 * not full is filled with its last value, and a note says where the recording ends in truth.
 */
final class Recorded
{
    private const RECORD_S = 1;

    /** Shorter gaps are drawn over. */
    private const GAP_S = 1.0;

    public const END = 'Recording ends';

    /** Notes of a record, in bytes, are counted anew for each file, with so much at least. */
    private const LEAST_NOTE_SAMPLES = 30;

    /**
     * @param  non-empty-array<string, array{Trace, string}>  $traces  with its unit, by label; all of the same moments
     * @param  list<EdfNote>  $notes  s from the start
     * @param  string  $date  "02.12.26"
     * @param  string  $time  "09.30.00"
     * @param  string  $startdate  "02-DEC-2026"
     *
     * @throws InvalidValue when they are not of the same moments
     */
    public static function file(array $traces, array $notes, string $date, string $time, string $startdate): EdfFile
    {
        $first = array_values($traces)[0][0];
        $count = count($first->values);
        $segments = self::segments($first);
        $onsets = [];
        $end = 0.0;
        foreach ($segments as [$from, $to]) {
            for ($at = $from; $at <= $to; $at += Trace::RATE * self::RECORD_S) {
                $onsets[] = $at;
            }
            $end = ($to + 1) / Trace::RATE;
        }
        $channels = [];
        foreach ($traces as $label => [$trace, $unit]) {
            if (count($trace->values) !== $count) {
                throw InvalidValue::because('What is saved together has to be recorded together.');
            }
            $channels[] = EdfChannel::of($label, $unit, self::filled($trace->values, $onsets, $segments), Trace::RATE * self::RECORD_S);
        }
        $byRecord = self::byRecord([...$notes, EdfNote::of($end, self::END)], $onsets);
        $starts = array_map(fn (int $at) => EdfNote::seconds($at / Trace::RATE), $onsets);

        return new EdfFile(
            'X X X X', "Startdate $startdate X X X", $date, $time, count($segments) > 1 ? EdfFile::BROKEN : EdfFile::CONTINUOUS,
            (string) self::RECORD_S, $channels, $starts, $byRecord, self::room($starts, $byRecord),
        );
    }

    /** @return non-empty-list<array{int, int}> first and last index of what was recorded in one piece */
    private static function segments(Trace $trace): array
    {
        $segments = [];
        $from = 0;
        foreach ($trace->gaps as [$first, $last]) {
            if ($last - $first + 1 >= self::GAP_S * Trace::RATE && $first > $from) {
                $segments[] = [$from, $first - 1];
                $from = $last + 1;
            }
        }

        return [...$segments, [$from, count($trace->values) - 1]];
    }

    /**
     * @param  non-empty-list<float>  $values
     * @param  list<int>  $onsets
     * @param  non-empty-list<array{int, int}>  $segments
     * @return non-empty-list<float>
     */
    private static function filled(array $values, array $onsets, array $segments): array
    {
        $filled = [];
        foreach ($onsets as $from) {
            $last = 0;
            foreach ($segments as [$first, $to]) {
                $last = $first <= $from ? $to : $last;
            }
            for ($n = 0; $n < Trace::RATE * self::RECORD_S; $n++) {
                $filled[] = $values[min($from + $n, $last)];
            }
        }

        return $filled === [] ? [0.0] : $filled;
    }

    /**
     * @param  list<EdfNote>  $notes
     * @param  list<int>  $onsets
     * @return list<list<EdfNote>>
     */
    private static function byRecord(array $notes, array $onsets): array
    {
        usort($notes, fn (EdfNote $one, EdfNote $other) => $one->start() <=> $other->start());
        $byRecord = array_fill(0, count($onsets), []);
        $record = 0;
        foreach ($notes as $note) {
            while (isset($onsets[$record + 1]) && $note->start() >= $onsets[$record + 1] / Trace::RATE) {
                $record++;
            }
            $byRecord[$record][] = $note;
        }

        return $byRecord;
    }

    /**
     * @param  list<string>  $starts
     * @param  list<list<EdfNote>>  $byRecord
     */
    private static function room(array $starts, array $byRecord): int
    {
        $most = 0;
        foreach ($byRecord as $record => $notes) {
            $bytes = strlen($starts[$record]) + 3;
            foreach ($notes as $note) {
                $bytes += strlen($note->bytes());
            }
            $most = max($most, $bytes);
        }

        return max(self::LEAST_NOTE_SAMPLES, intdiv($most + 1, 2));
    }
}
