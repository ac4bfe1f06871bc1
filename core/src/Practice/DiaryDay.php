<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;

/** A day of the diary that may be written: the present one, and for a while the missed ones before it, marked as late. */
final readonly class DiaryDay
{
    /** Days that may be filled in afterwards. Common practice. */
    public const LATE_DAYS = 3;

    private function __construct(public PatientDay $day, public bool $isLate)
    {
    }

    /** @throws InvalidValue when the day is still to come or too long ago */
    public static function written(PatientDay $day, PatientDay $today): self
    {
        $ago = $day->daysUntil($today);
        if ($ago < 0) {
            throw InvalidValue::because('That day is still to come.');
        }
        if ($ago > self::LATE_DAYS) {
            throw InvalidValue::because('A missed day can be filled in for '.self::LATE_DAYS.' days.');
        }

        return new self($day, $ago > 0);
    }
}
