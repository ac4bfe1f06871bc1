<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Reading;

use IvoryPace\Median;
use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\Trace;

/** The patient's breath in the middle, drawn over the one that was led: how high the trace stood at even parts of it. */
final class Inked
{
    /** Points of one breath, its end with it. */
    public const POINTS = 41;

    private const LEAST_BREATHS = 3;

    /** Lengths within it are the same breath. */
    private const SAME = 0.02;

    private const MOST_OTHER = 0.25;

    /**
     * @param  list<PlayedBreath>  $played
     * @return list<int>|null 0 to 100 %; null where fewer than three breaths of one length can be seen
     */
    public static function of(array $played, Breaths $observed): ?array
    {
        $trace = $observed->of->trace;
        $curves = [];
        foreach (self::alike($played) as $breath) {
            $isSeen = $breath->start >= $trace->startsAt && $breath->end() <= $trace->startsAt + $trace->seconds() - 1 / Trace::RATE
                && $observed->disturbed($breath->start, $breath->end()) <= self::MOST_OTHER;
            if ($isSeen) {
                $curves[] = self::curve($trace, $breath);
            }
        }
        if (count($curves) < self::LEAST_BREATHS) {
            return null;
        }
        $middle = array_map(fn (int $n) => Median::of(array_column($curves, $n)), range(0, self::POINTS - 1));
        $low = min($middle);
        $height = max($middle) - $low;

        return $height < 1e-9 ? null : array_map(fn (float $value) => (int) round(100 * ($value - $low) / $height), $middle);
    }

    /**
     * @param  list<PlayedBreath>  $played
     * @return list<PlayedBreath> those of the length that most have
     */
    private static function alike(array $played): array
    {
        $most = [];
        foreach ($played as $one) {
            $same = array_values(array_filter(
                $played, fn (PlayedBreath $other) => abs($other->length - $one->length) <= self::SAME * $one->length
                    && abs($other->inhale - $one->inhale) <= self::SAME * $one->length,
            ));
            $most = count($same) > count($most) ? $same : $most;
            if (2 * count($most) > count($played)) {
                break;
            }
        }

        return $most;
    }

    /** @return list<float> around its mean */
    private static function curve(Trace $trace, PlayedBreath $breath): array
    {
        $values = [];
        $last = count($trace->values) - 1;
        for ($n = 0; $n < self::POINTS; $n++) {
            $place = ($breath->start + $breath->length * $n / (self::POINTS - 1) - $trace->startsAt) * Trace::RATE;
            $whole = max(0, min($last, (int) $place));
            $next = min($last, $whole + 1);
            $values[] = $trace->values[$whole] + ($trace->values[$next] - $trace->values[$whole]) * ($place - $whole);
        }
        $mean = array_sum($values) / count($values);

        return array_map(fn (float $value) => $value - $mean, $values);
    }
}
