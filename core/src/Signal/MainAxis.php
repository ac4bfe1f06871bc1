<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Steps\Butterworth;
use IvoryPace\Signal\Steps\Resampling;

/**
 * A phone on the belly tilts a little with each breath, and gravity tells how much. Which way it lies nobody knows: the slow part
 * of the acceleration is seen along the axis on which it changes most.
 */
final readonly class MainAxis
{
    private const SLOW_HZ = 1.0;

    private const ROUNDS = 60;

    /**
     * @param  list<array{float, float, float, float}>  $samples  time in s, and acceleration with gravity along three axes in m/s²
     * @param  float|null  $inhaleAt  s, when somebody was asked to breathe in; the axis is turned so that this rises
     *
     * @throws InvalidValue when one is no number, or there are too few
     */
    public static function of(array $samples, ?float $inhaleAt = null): Trace
    {
        $axes = [];
        foreach ([1, 2, 3] as $axis) {
            $axes[] = Resampling::even(array_map(fn (array $sample) => [$sample[0], $sample[$axis]], $samples));
        }
        $slow = array_map(fn (Trace $trace) => self::slow($trace->values), $axes);
        $direction = self::direction($slow);
        $values = [];
        foreach ($slow[0] as $n => $x) {
            $values[] = $direction[0] * $x + $direction[1] * $slow[1][$n] + $direction[2] * $slow[2][$n];
        }
        $trace = Trace::of($values, $axes[0]->startsAt, $axes[0]->gaps);

        $isUpsideDown = $inhaleAt !== null && self::falls($trace, $inhaleAt);

        return $isUpsideDown ? $trace->with(array_map(fn (float $value) => -$value, $trace->values)) : $trace;
    }

    /** Whether it goes down in the two seconds after somebody was asked to breathe in. */
    private static function falls(Trace $trace, float $from): bool
    {
        $first = (int) max(0, round(($from - $trace->startsAt) * Trace::RATE));
        $part = array_slice($trace->values, $first, 2 * Trace::RATE);

        return $part !== [] && $part[count($part) - 1] < $part[0];
    }

    /**
     * There and back, so that nothing comes later than it was.
     *
     * @param  non-empty-list<float>  $values
     * @return non-empty-list<float> around its mean
     */
    private static function slow(array $values): array
    {
        $mean = array_sum($values) / count($values);
        $there = Butterworth::low(array_map(fn (float $value) => $value - $mean, $values), self::SLOW_HZ);

        return array_reverse(Butterworth::low(array_reverse($there), self::SLOW_HZ));
    }

    /**
     * The first eigenvector of the covariance, by repeated multiplication.
     *
     * @param  array<int, non-empty-list<float>>  $axes
     * @return array{float, float, float} of length 1
     */
    private static function direction(array $axes): array
    {
        $covariance = [];
        foreach ($axes as $i => $one) {
            foreach ($axes as $j => $other) {
                $covariance[$i][$j] = array_sum(array_map(fn (float $a, float $b) => $a * $b, $one, $other)) / count($one);
            }
        }
        // The axis that changes most is near it already.
        $own = [$covariance[0][0], $covariance[1][1], $covariance[2][2]];
        $direction = $covariance[(int) array_search(max($own), $own, true)];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $size = sqrt($direction[0] ** 2 + $direction[1] ** 2 + $direction[2] ** 2);
            if ($size < 1e-18) {
                return [1.0, 0.0, 0.0];
            }
            $unit = array_map(fn (float $part) => $part / $size, $direction);
            $direction = array_map(fn (array $row) => $row[0] * $unit[0] + $row[1] * $unit[1] + $row[2] * $unit[2], $covariance);
        }
        $size = sqrt($direction[0] ** 2 + $direction[1] ** 2 + $direction[2] ** 2) ?: 1.0;

        return [$direction[0] / $size, $direction[1] / $size, $direction[2] / $size];
    }
}
