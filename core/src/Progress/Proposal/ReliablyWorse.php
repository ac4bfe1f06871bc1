<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Median;
use IvoryPace\Progress\Trend\TheilSen;

/**
 * Whether a daily rating is worse, in the worse direction of its scale. Reliably, over weeks: the median of the last seven
 * rated days is at least 2 points worse than that of the first seven, and the trend's interval leaves 0 out. Suddenly:
 * the last three rated days are 3 points worse than the two weeks before, or it is very high on two days running. Common
 * practice.
 */
final class ReliablyWorse
{
    private const WINDOW = 7;

    private const POINTS = 2.0;

    private const LATEST = 3;

    private const LATEST_POINTS = 3.0;

    private const DAYS_BEFORE = 14;

    private const LEAST_BEFORE = 5;

    /** On a scale on which more is worse. */
    private const VERY_HIGH = 8.0;

    /**
     * @param  array<int, int|float>  $ratings  0–10 by day number
     * @param  bool  $lessIsWorse  as of sleep
     * @return array{then: float, now: float, over: WorseOver}|null null when it is not, or cannot be told
     */
    public static function of(array $ratings, bool $lessIsWorse = false): ?array
    {
        ksort($ratings);
        $scale = fn (float $value): float => $lessIsWorse ? 10 - $value : $value;
        $worse = array_map(fn (int|float $rating) => $scale((float) $rating), $ratings);
        $found = self::overWeeks($worse) ?? self::suddenly($worse) ?? self::veryHigh($worse);

        return $found === null ? null : ['then' => $scale($found['then']), 'now' => $scale($found['now']), 'over' => $found['over']];
    }

    /**
     * @param  array<int, float>  $ratings  by day, more is worse
     * @return array{then: float, now: float, over: WorseOver}|null
     */
    private static function overWeeks(array $ratings): ?array
    {
        // The two weeks must not be the same days.
        if (count($ratings) < 2 * self::WINDOW) {
            return null;
        }
        $values = array_values($ratings);
        $then = Median::of(array_slice($values, 0, self::WINDOW));
        $now = Median::of(array_slice($values, -self::WINDOW));
        if ($now - $then < self::POINTS) {
            return null; // the trend is the dearer question
        }
        $trend = TheilSen::of($ratings);

        return $trend !== null && $trend->low > 0 ? ['then' => $then, 'now' => $now, 'over' => WorseOver::Weeks] : null;
    }

    /**
     * @param  array<int, float>  $ratings
     * @return array{then: float, now: float, over: WorseOver}|null
     */
    private static function suddenly(array $ratings): ?array
    {
        $latest = array_slice($ratings, -self::LATEST, preserve_keys: true);
        $first = array_key_first($latest);
        if (count($latest) < self::LATEST || $first === null) {
            return null;
        }
        $before = array_filter($ratings, fn (int $day) => $day < $first && $day >= $first - self::DAYS_BEFORE, ARRAY_FILTER_USE_KEY);
        if (count($before) < self::LEAST_BEFORE) {
            return null;
        }
        $then = Median::of(array_values($before));
        $now = Median::of(array_values($latest));

        return $now - $then >= self::LATEST_POINTS ? ['then' => $then, 'now' => $now, 'over' => WorseOver::Days] : null;
    }

    /**
     * @param  array<int, float>  $ratings
     * @return array{then: float, now: float, over: WorseOver}|null
     */
    private static function veryHigh(array $ratings): ?array
    {
        $latest = array_slice($ratings, -2, preserve_keys: true);
        $days = array_keys($latest);
        if (count($days) < 2 || $days[1] !== $days[0] + 1 || min($latest[$days[0]], $latest[$days[1]]) < self::VERY_HIGH) {
            return null;
        }
        // The two days are not part of what they are held against.
        $earlier = array_slice(array_values($ratings), 0, -2);
        if ($earlier === []) {
            return null;
        }
        $baseline = Median::of(array_slice($earlier, 0, self::WINDOW));
        $now = min($latest[$days[0]], $latest[$days[1]]);

        return $now - $baseline >= self::POINTS ? ['then' => $baseline, 'now' => $now, 'over' => WorseOver::TwoDays] : null;
    }
}
