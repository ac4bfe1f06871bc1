<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

/**
 * From one trough over a peak to the next trough: where the inhale and the exhale begin and end goes by a raised cosine through a tenth and
 * nine tenths of each, so that a hold or a rest has a length.
 */
final class Movement
{
    private const LOW = 0.1;

    private const LEAST_S = 0.2;

    /**
     * @param  non-empty-list<float>  $values
     * @return array{start: float, in: float, out: float, done: float, trough: int, amplitude: float} places: inhale from start to in,
     *                                                                                                exhale from out to done
     */
    public static function around(array $values, int $trough, int $peak, int $next): array
    {
        $up = self::way($values, $trough, $peak, 1);
        $down = self::way($values, $next, $peak, -1);

        return [
            'start' => max((float) $trough, $up[0]), 'in' => min((float) $peak, $up[1]),
            'out' => max((float) $peak, $down[1]), 'done' => min((float) $next, $down[0]),
            'trough' => $next, 'amplitude' => $values[$peak] - ($values[$trough] + $values[$next]) / 2,
        ];
    }

    /**
     * The raised cosine through a tenth and nine tenths of the way between a trough and a peak.
     *
     * @param  non-empty-list<float>  $values
     * @param  int  $step  1 from the trough on, -1 back to the peak before it
     * @return array{float, float} places of its foot and of its top
     */
    private static function way(array $values, int $trough, int $peak, int $step): array
    {
        $height = $values[$peak] - $values[$trough];
        $low = self::crossing($values, $peak, $trough, $values[$trough] + self::LOW * $height);
        $high = self::crossing($values, $trough, $peak, $values[$peak] - self::LOW * $height);
        // cos is a fifth from its end at these heights.
        $part = acos(1 - 2 * self::LOW) / M_PI;
        $length = max(self::LEAST_S * Trace::RATE, abs($high - $low) / (1 - 2 * $part));

        return [$low - $step * $part * $length, $high + $step * $part * $length];
    }

    /**
     * Where the trace passes a height between two places; in noise the middle of where it does so from either side.
     *
     * @param  non-empty-list<float>  $values
     */
    private static function crossing(array $values, int $from, int $to, float $height): float
    {
        return (self::first($values, $from, $to, $height) + self::first($values, $to, $from, $height)) / 2;
    }

    /** @param  non-empty-list<float>  $values */
    private static function first(array $values, int $from, int $to, float $height): float
    {
        $step = $from < $to ? 1 : -1;
        $side = $values[$from] > $height;
        for ($index = $from; $index !== $to; $index += $step) {
            if (($values[$index + $step] > $height) !== $side) {
                $way = $values[$index + $step] - $values[$index];

                return $index + $step * ($way === 0.0 ? 0.0 : ($height - $values[$index]) / $way);
            }
        }

        return (float) $to;
    }
}
