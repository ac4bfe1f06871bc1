<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use IvoryPace\Calendar\PatientDay;

/** When the home check, a minute of taps, is asked for again. */
final class WeeklyCheck
{
    /** Days from one to the next. */
    public const EVERY_DAYS = 7;

    public static function isDue(?PatientDay $last, PatientDay $today): bool
    {
        return $last === null || $last->daysUntil($today) >= self::EVERY_DAYS;
    }
}
