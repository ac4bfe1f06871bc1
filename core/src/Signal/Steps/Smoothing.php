<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Steps;

use IvoryPace\Signal\Trace;

/**
 * A cubic through 25 values around each (Savitzky and Golay, Anal Chem 1964;36:1627–1639): a second, which leaves breaths of
 * two seconds as they are. At both ends the cubic through the outermost 25 goes on, as scipy's savgol_filter does by itself.
 */
final class Smoothing
{
    private const HALF = 12;

    public static function of(Trace $trace): Trace
    {
        $values = $trace->values;
        $count = count($values);
        if ($count < 2 * self::HALF + 1) {
            return $trace;
        }
        $weights = self::weights();
        $smooth = [];
        for ($index = self::HALF; $index < $count - self::HALF; $index++) {
            // It is symmetric: each weight is used for two.
            $sum = $weights[0] * $values[$index];
            for ($away = 1; $away <= self::HALF; $away++) {
                $sum += $weights[$away] * ($values[$index - $away] + $values[$index + $away]);
            }
            $smooth[] = $sum;
        }

        return $trace->with([
            ...self::end(array_slice($values, 0, 2 * self::HALF + 1), -self::HALF, -1),
            ...$smooth,
            ...self::end(array_slice($values, -2 * self::HALF - 1), 1, self::HALF),
        ]);
    }

    /**
     * The published form for a cubic: 3 (3m² + 3m − 1 − 5i²) / ((2m + 1)(4m² + 4m − 3)).
     *
     * @return non-empty-list<float> by distance from the middle
     */
    private static function weights(): array
    {
        $m = self::HALF;
        $of = fn (int $away) => 3 * (3 * $m ** 2 + 3 * $m - 1 - 5 * $away ** 2) / ((2 * $m + 1) * (4 * $m ** 2 + 4 * $m - 3));

        return array_map($of, range(0, $m));
    }

    /**
     * The least-squares cubic through 25 values, at places from their middle.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function end(array $values, int $from, int $to): array
    {
        $s = array_fill(0, 7, 0.0);
        $t = array_fill(0, 4, 0.0);
        foreach ($values as $index => $value) {
            $x = ($index - self::HALF) / self::HALF;
            foreach ($s as $power => $sum) {
                $s[$power] = $sum + $x ** $power;
            }
            foreach ($t as $power => $sum) {
                $t[$power] = $sum + $x ** $power * $value;
            }
        }
        // The odd sums are nothing, so that even and odd parts part.
        $even = $s[0] * $s[4] - $s[2] ** 2;
        $odd = $s[2] * $s[6] - $s[4] ** 2;
        $c0 = ($t[0] * $s[4] - $t[2] * $s[2]) / $even;
        $c2 = ($t[2] * $s[0] - $t[0] * $s[2]) / $even;
        $c1 = ($t[1] * $s[6] - $t[3] * $s[4]) / $odd;
        $c3 = ($t[3] * $s[2] - $t[1] * $s[4]) / $odd;
        $at = fn (int $place) => $c0 + ($x = $place / self::HALF) * ($c1 + $x * ($c2 + $x * $c3));

        return array_map($at, range($from, $to));
    }
}
