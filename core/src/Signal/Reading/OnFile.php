<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Reading;

use DateTimeImmutable;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\Edf\EdfChannel;
use IvoryPace\Signal\Edf\EdfFile;
use IvoryPace\Signal\Edf\EdfNote;
use IvoryPace\Signal\Edf\EdfWriter;
use IvoryPace\Signal\Edf\Recorded;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\Trace;
use IvoryPace\Signal\TraceCsv;

/** A recording as a file of its own, out and in: what each channel is called, and what was led as notes. */
final class OnFile
{
    /** @var array<string, array{string, string}> label and unit */
    private const CHANNELS = [
        'belly' => ['Resp belly', ''], 'chest' => ['Resp chest', ''], 'x' => ['Acc x', 'm/s2'], 'y' => ['Acc y', 'm/s2'],
        'z' => ['Acc z', 'm/s2'], 'spo2' => ['SpO2', '%'], 'pulse' => ['Pulse', '1/min'],
    ];

    /** @var array<string, string> by how others call them; the first that fits */
    private const KNOWN = [
        'belly' => '/belly|abd|waist|diaphr/i', 'chest' => '/chest|thor|rib/i', 'spo2' => '/spo2|sao2|satur/i',
        'pulse' => '/pulse|heart ?rate|\bhr\b/i', 'x' => '/^acc[ _]?x$/i', 'y' => '/^acc[ _]?y$/i', 'z' => '/^acc[ _]?z$/i',
    ];

    /** A breath under another name. */
    private const BREATH = '/resp|breath|flow|effort|airflow/i';

    private const MOVING = ['belly', 'chest', 'x', 'y', 'z'];

    /** Samples a second; of faster ones so many go into one. */
    private const FASTEST = 50.0;

    /**
     * @param  array<string, list<array{float, float}>>  $values  s and value, by channel, in order
     * @return non-empty-array<string, Trace> at the same moments, by channel
     *
     * @throws InvalidValue when nothing is there
     */
    public static function traces(array $values): array
    {
        $moving = array_filter(array_intersect_key($values, array_flip(self::MOVING)), fn (array $samples) => count($samples) > 1);
        $slow = array_filter(array_intersect_key($values, ['spo2' => 1, 'pulse' => 1]));
        $traces = array_map(Resampling::even(...), $moving);
        $all = array_values([...$moving, ...$slow]);
        if ($all === []) {
            throw InvalidValue::because('No sample is there to be saved.');
        }
        $from = $traces === [] ? min(array_map(fn (array $samples) => $samples[0][0], $all))
            : max(array_map(fn (Trace $trace) => $trace->startsAt, $traces));
        $to = $traces === [] ? max(array_map(fn (array $samples) => $samples[count($samples) - 1][0], $all))
            : min(array_map(fn (Trace $trace) => $trace->startsAt + $trace->seconds(), $traces));
        $count = max(1, (int) floor(($to - $from) * Trace::RATE + 1e-6));
        $same = array_map(fn (Trace $trace) => Together::cut($trace, $from, $count), $traces);
        foreach ($slow as $channel => $samples) {
            $same[$channel] = self::held($samples, $from, $count, array_values($same)[0]->gaps ?? []);
        }
        $ordered = [];
        foreach (array_keys(self::CHANNELS) as $channel) {
            $ordered = isset($same[$channel]) ? [...$ordered, $channel => $same[$channel]] : $ordered;
        }

        return $ordered === [] ? throw InvalidValue::because('No sample is there to be saved.') : $ordered;
    }

    /**
     * @param  array<string, list<array{float, float}>>  $values
     * @param  list<PlayedBreath>  $played
     *
     * @throws InvalidValue when nothing is there
     */
    public static function edf(array $values, array $played, DateTimeImmutable $startedAt): string
    {
        $traces = self::traces($values);
        $from = array_values($traces)[0]->startsAt;
        $start = $startedAt->modify(sprintf('%+d milliseconds', (int) round(1000 * $from)));
        $ms = fn (float $seconds) => (int) round(1000 * $seconds);
        $notes = array_map(fn (PlayedBreath $breath) => EdfNote::of(
            $breath->start - $from, "Breath led: in {$ms($breath->inhale)} ms, out {$ms($breath->exhale)} ms", $breath->length,
        ), $played);
        foreach ($values['rr_ms'] ?? [] as [$at, $interval]) {
            $notes[] = EdfNote::of($at - $from, 'Beat '.(int) round($interval).' ms');
        }
        $end = array_values($traces)[0]->seconds();
        $notes = array_values(array_filter($notes, fn (EdfNote $note) => $note->start() >= 0 && $note->start() <= $end));
        usort($notes, fn (EdfNote $one, EdfNote $other) => $one->start() <=> $other->start());

        return EdfWriter::bytes(Recorded::file(
            array_combine(
                array_map(fn (string $channel) => self::CHANNELS[$channel][0], array_keys($traces)),
                array_map(fn (string $channel) => [$traces[$channel], self::CHANNELS[$channel][1]], array_keys($traces)),
            ), $notes, $start->format('d.m.y'), $start->format('H.i.s'), strtoupper($start->format('d-M-Y')),
        ));
    }

    /**
     * @param  array<string, list<array{float, float}>>  $values
     *
     * @throws InvalidValue when nothing is there
     */
    public static function csv(array $values): string
    {
        return TraceCsv::write(self::traces($values));
    }

    /**
     * What a file holds, in channels that are known here. A breath under another name counts as the belly's.
     *
     * @return array{array<string, list<array{float, float}>>, list<list<int>>, array<string, string>} s and value by channel, what was
     *     led, and under which name each channel stood in the file
     *
     * @throws InvalidValue when nothing in it is known
     */
    public static function read(EdfFile $file): array
    {
        $labels = array_map(fn (EdfChannel $channel) => $channel->label, $file->channels);
        $named = self::named($labels);
        $values = [];
        $end = self::endOf($file);
        foreach ($named as $channel => $label) {
            $of = $file->channels[(int) array_search($label, $labels, true)];
            $values[$channel] = self::possible($channel, $end, $file->samples($of, self::together($file, $of)));
        }
        $played = [];
        foreach ($file->allNotes() as $note) {
            if (preg_match('/^Breath led: in (\d{1,6}) ms, out (\d{1,6}) ms$/', $note->texts[0], $parts) === 1) {
                $played[] = [
                    (int) round(1000 * $note->start()), (int) $parts[1], (int) $parts[2], (int) round(1000 * (float) $note->lasts),
                ];
            } elseif (preg_match('/^Beat (\d{3,4}) ms$/', $note->texts[0], $parts) === 1) {
                $values['rr_ms'][] = [$note->start(), (float) $parts[1]];
            }
        }

        return [$values, $played, $named];
    }

    /**
     * @param  list<string>  $labels
     * @return non-empty-array<string, string> label by channel
     *
     * @throws InvalidValue when none is known
     */
    public static function named(array $labels): array
    {
        $named = [];
        foreach (self::KNOWN as $channel => $pattern) {
            foreach ($labels as $label) {
                if (! isset($named[$channel]) && ! in_array($label, $named, true) && preg_match($pattern, $label) === 1) {
                    $named[$channel] = $label;
                }
            }
        }
        foreach ($labels as $label) {
            if (! isset($named['belly']) && ! isset($named['chest']) && preg_match(self::BREATH, $label) === 1) {
                $named['belly'] = $label;
            }
        }

        return $named === [] ? throw InvalidValue::because(
            'This file cannot be read: none of its signals is known as a breath, a saturation or a pulse ('
                .mb_substr(implode(', ', $labels), 0, 120).'). Nothing was stored.',
        ) : $named;
    }

    /**
     * How many samples of a channel go into one.
     *
     * @return positive-int
     */
    private static function together(EdfFile $file, EdfChannel $channel): int
    {
        return max(1, (int) round($channel->perRecord / max(1e-3, (float) $file->recordSeconds) / self::FASTEST));
    }

    /** Where the recording ends in truth: what fills its last record belongs to nothing. */
    private static function endOf(EdfFile $file): float
    {
        foreach ($file->allNotes() as $note) {
            if ($note->texts[0] === Recorded::END) {
                return $note->start() - 1e-6;
            }
        }

        return INF;
    }

    /**
     * A clip that has slipped off says 0, or 127.
     *
     * @param  list<array{float, float}>  $samples
     * @return list<array{float, float}>
     */
    private static function possible(string $channel, float $end, array $samples): array
    {
        [$least, $most] = match ($channel) {
            'spo2' => [50, 100],
            'pulse' => [20, 250],
            default => [-Resampling::LARGEST, Resampling::LARGEST],
        };

        return array_values(array_filter($samples, fn (array $sample) => $sample[0] < $end && $sample[1] >= $least && $sample[1] <= $most));
    }

    /**
     * A value that is told once a second holds until the next.
     *
     * @param  non-empty-list<array{float, float}>  $samples
     * @param  list<array{int, int}>  $gaps
     */
    private static function held(array $samples, float $from, int $count, array $gaps): Trace
    {
        $values = [];
        $at = 0;
        for ($n = 0; $n < $count; $n++) {
            while (isset($samples[$at + 1]) && $samples[$at + 1][0] <= $from + $n / Trace::RATE + 1e-9) {
                $at++;
            }
            $values[] = $samples[$at][1];
        }

        return Trace::of($values, $from, $gaps);
    }
}
