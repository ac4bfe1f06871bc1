<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\Median;
use IvoryPace\Signal\Steps\Extremes;

/** Where breathing turns: troughs and peaks that take turns, stand out by three tenths of the median amplitude and are 0.6 s apart. */
final class Turns
{
    private const PROMINENCE = 0.3;

    private const APART_S = 0.6;

    /**
     * @param  non-empty-list<float>  $values
     * @return list<array{int, bool}> place, and whether it is a peak; in turns, beginning and ending with a trough
     */
    public static function in(array $values): array
    {
        $sorted = $values;
        sort($sorted);
        $last = count($sorted) - 1;
        $range = $sorted[(int) round(0.9 * $last)] - $sorted[(int) round(0.1 * $last)];
        $apart = (int) round(self::APART_S * Trace::RATE);
        $up = Extremes::of($values, $apart);
        $down = Extremes::of(array_map(fn (float $value) => -$value, $values), $apart);
        $turns = self::inTurn($values, $up, $down, self::PROMINENCE * $range);
        $sizes = [];
        for ($n = 1; $n < count($turns); $n++) {
            $sizes[] = abs($values[$turns[$n][0]] - $values[$turns[$n - 1][0]]);
        }

        return $sizes === [] ? [] : self::inTurn($values, $up, $down, self::PROMINENCE * Median::of($sizes));
    }

    /**
     * @param  non-empty-list<float>  $values
     * @return list<array{int, bool}>
     */
    private static function inTurn(array $values, Extremes $up, Extremes $down, float $prominence): array
    {
        $all = [];
        foreach ($up->peaks($prominence) as $peak) {
            $all[$peak] = true;
        }
        foreach ($down->peaks($prominence) as $trough) {
            $all[$trough] = false;
        }
        ksort($all);
        $turns = [];
        foreach ($all as $at => $isPeak) {
            $before = count($turns) - 1;
            if ($before < 0 || $turns[$before][1] !== $isPeak) {
                $turns[] = [$at, $isPeak];
            } elseif (($values[$at] > $values[$turns[$before][0]]) === $isPeak) {
                // Of two of a kind the one that goes further.
                $turns[$before] = [$at, $isPeak];
            }
        }

        return self::withEnds($turns, $values, $prominence);
    }

    /**
     * A recording begins and ends somewhere in a breath, often at rest: what is low enough before the first peak and after the last is
     * their trough.
     *
     * @param  list<array{int, bool}>  $turns
     * @param  non-empty-list<float>  $values
     * @return list<array{int, bool}>
     */
    private static function withEnds(array $turns, array $values, float $prominence): array
    {
        if ($turns !== [] && $turns[0][1]) {
            $peak = $turns[0][0];
            $trough = self::lowest($values, 0, $peak);
            $prominence <= $values[$peak] - $values[$trough] ? array_unshift($turns, [$trough, false]) : array_shift($turns);
        }
        $last = count($turns) - 1;
        if ($last >= 0 && $turns[$last][1]) {
            $peak = $turns[$last][0];
            $trough = self::lowest($values, $peak, count($values) - 1);
            if ($prominence <= $values[$peak] - $values[$trough]) {
                $turns[] = [$trough, false];
            } else {
                array_pop($turns);
            }
        }

        return $turns;
    }

    /** @param  non-empty-list<float>  $values */
    private static function lowest(array $values, int $from, int $to): int
    {
        $lowest = $from;
        for ($index = $from; $index <= $to; $index++) {
            $lowest = $values[$index] < $values[$lowest] ? $index : $lowest;
        }

        return $lowest;
    }
}
