<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Ladder;

use IvoryPace\Median;

/**
 * The comfort ceiling that ladders see: the measured one, or what was enough at home where that is lower. Home never
 * raises it. Common practice.
 */
final class HomeCeiling
{
    /** So many of the latest practices in which the patient said that it is long enough are looked at. */
    public const LATEST = 3;

    /** What was enough more than so many days ago says nothing about now. */
    public const DAYS = 90;

    /**
     * @param  float|null  $measured  s; null where it was never measured
     * @param  list<float>  $enough  seconds of the inhale that was enough at home, latest first
     * @return float|null s
     */
    public static function with(?float $measured, array $enough): ?float
    {
        $home = $enough === [] ? null : Median::of(array_slice($enough, 0, self::LATEST));

        return match (true) {
            $home === null => $measured,
            $measured === null => $home,
            default => min($measured, $home),
        };
    }
}
