<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Steps;

use IvoryPace\Signal\Trace;

/**
 * A second-order Butterworth filter at the samples of a trace, by the bilinear transform: as scipy's butter(2, hz / 12.5) makes it. It
 * begins as if the trace had always been at its first value.
 */
final class Butterworth
{
    /**
     * What is slower than so many Hz.
     *
     * @param  non-empty-list<float>  $values
     * @return non-empty-list<float>
     */
    public static function low(array $values, float $hz): array
    {
        [$k, $norm] = self::at($hz);

        return self::through($values, [$k * $k * $norm, 2 * $k * $k * $norm, $k * $k * $norm], $k, $norm, $values[0]);
    }

    /**
     * What is faster than so many Hz.
     *
     * @param  non-empty-list<float>  $values
     * @return non-empty-list<float>
     */
    public static function high(array $values, float $hz): array
    {
        [$k, $norm] = self::at($hz);

        return self::through($values, [$norm, -2 * $norm, $norm], $k, $norm, 0.0);
    }

    /** @return array{float, float} the frequency, warped, and what makes the first coefficient 1 */
    private static function at(float $hz): array
    {
        $k = tan(M_PI * $hz / Trace::RATE);

        return [$k, 1 / (1 + M_SQRT2 * $k + $k * $k)];
    }

    /**
     * @param  non-empty-list<float>  $values
     * @param  array{float, float, float}  $b
     * @param  float  $rest  what comes out of a trace that never moved
     * @return non-empty-list<float>
     */
    private static function through(array $values, array $b, float $k, float $norm, float $rest): array
    {
        [$b0, $b1, $b2] = $b;
        $a1 = 2 * ($k * $k - 1) * $norm;
        $a2 = (1 - M_SQRT2 * $k + $k * $k) * $norm;
        $x1 = $x2 = $values[0];
        $y1 = $y2 = $rest;
        $out = [];
        foreach ($values as $x) {
            $y = $b0 * $x + $b1 * $x1 + $b2 * $x2 - $a1 * $y1 - $a2 * $y2;
            [$x2, $x1, $y2, $y1] = [$x1, $x, $y1, $y];
            $out[] = $y;
        }

        return $out;
    }
}
