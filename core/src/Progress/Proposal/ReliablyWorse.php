<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Median;
use IvoryPace\Progress\Trend\TheilSen;

/**
 * Whether a daily rating is reliably worse: the median of the last seven rated days is at least 2 points above that of
 * the first seven, and the trend's interval leaves 0 out. Common practice.
 */
final class ReliablyWorse
{
    private const WINDOW = 7;

    private const POINTS = 2.0;

    /**
     * @param  array<int, int|float>  $ratings  0–10 by day number, more is worse
     * @return array{then: float, now: float}|null null when it is not, or cannot be told
     */
    public static function of(array $ratings): ?array
    {
        // The two weeks must not be the same days.
        if (count($ratings) < 2 * self::WINDOW) {
            return null;
        }
        ksort($ratings);
        $values = array_values($ratings);
        $then = Median::of(array_slice($values, 0, self::WINDOW));
        $now = Median::of(array_slice($values, -self::WINDOW));
        if ($now - $then < self::POINTS) {
            return null; // the trend is the dearer question
        }
        $trend = TheilSen::of($ratings);

        return $trend !== null && $trend->low > 0 ? ['then' => $then, 'now' => $now] : null;
    }
}
