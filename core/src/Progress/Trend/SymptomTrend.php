<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Trend;

use IvoryPace\Numbers;

/** What a daily rating does over time, in one sentence with its numbers. */
final class SymptomTrend
{
    /** Over longer than this a week's change is too small to read: then it is given for thirty days. */
    private const LONG_DAYS = 56;

    /**
     * @param  array<int, int|float>  $ratings  0–10 by day number
     */
    public static function sentence(array $ratings): string
    {
        $trend = TheilSen::of($ratings);
        if ($trend === null || $ratings === []) {
            return sprintf('Too early: %d of %d rated days.', count($ratings), TheilSen::LEAST);
        }
        $isLong = max(array_keys($ratings)) - min(array_keys($ratings)) > self::LONG_DAYS;
        $in = fn (float $slope): string => Numbers::signed($slope * ($isLong ? 30 : 7), 1);
        $tau = KendallTau::of($ratings);

        return sprintf(
            '%s: %s points a %s (95 %% interval %s to %s%s), from %d rated days.',
            ! $trend->isClear() ? 'No clear direction' : ($trend->slope < 0 ? 'Falling' : 'Rising'),
            $in($trend->slope), $isLong ? 'month' : 'week', $in($trend->low), $in($trend->high),
            $tau === null ? '' : '; tau '.Numbers::signed($tau), count($ratings),
        );
    }
}
