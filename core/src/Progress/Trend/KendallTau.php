<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Trend;

/**
 * Kendall's tau-b of values against their days: -1 always falling, 1 always rising; equal values are allowed for.
 *
 * Kendall, Biometrika 1945;33:239–251, as scipy.stats.kendalltau computes it.
 */
final class KendallTau
{
    /**
     * @param  array<int, float|int>  $values  by day number
     * @return float|null null when there is nothing to compare: fewer than two days, or all values equal
     */
    public static function of(array $values): ?float
    {
        ksort($values);
        $scores = array_values($values);
        $n = count($scores);
        $sum = $equal = 0;
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 1; $j < $n; $j++) {
                $sum += $scores[$j] <=> $scores[$i];
                $equal += $scores[$j] == $scores[$i] ? 1 : 0;
            }
        }
        $pairs = $n * ($n - 1) / 2;

        return $pairs - $equal <= 0 ? null : $sum / sqrt(($pairs - $equal) * $pairs);
    }
}
