<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Trend;

use IvoryPace\Numbers;

/** What a daily rating does over time, in one sentence with its numbers. */
final class SymptomTrend
{
    /**
     * @param  array<int, int|float>  $ratings  0–10 by day number
     */
    public static function sentence(array $ratings): string
    {
        $trend = TheilSen::of($ratings);
        if ($trend === null) {
            return sprintf('Too early: %d of %d rated days.', count($ratings), TheilSen::LEAST);
        }
        $week = fn (float $slope): string => Numbers::signed($slope * 7, 1);
        $tau = KendallTau::of($ratings);

        return sprintf(
            '%s: %s points a week (95 %% interval %s to %s%s), from %d rated days.',
            ! $trend->isClear() ? 'No clear direction' : ($trend->slope < 0 ? 'Falling' : 'Rising'),
            $week($trend->slope), $week($trend->low), $week($trend->high), $tau === null ? '' : '; tau '.Numbers::signed($tau), count($ratings),
        );
    }
}
