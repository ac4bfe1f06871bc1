<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

use DateTimeImmutable;
use DateTimeZone;
use Exception;
use IvoryPace\InvalidValue;

/**
 * When a patient's days begin and end: at the patient's own day start, in the patient's time zone.
 *
 * A lights-out practice at 00:20 belongs to the evening before when the day starts at 04:00. Days on which
 * the clocks change have 23 or 25 hours. A day start that the clock skips in spring is the moment after.
 */
final readonly class PatientClock
{
    private const NEAR_MINUTES = 180;

    private function __construct(public DateTimeZone $zone, public ClockTime $dayStart)
    {
    }

    /**
     * @param  string  $zone  IANA name, for example Europe/Lisbon
     * @param  string  $dayStart  time of day, for example 04:00
     *
     * @throws InvalidValue when there is no such zone or time
     */
    public static function in(string $zone, string $dayStart = '04:00'): self
    {
        try {
            $timeZone = new DateTimeZone($zone);
        } catch (Exception) {
            throw InvalidValue::because(InvalidValue::quoted($zone).' is not a time zone; choose one like Europe/Lisbon.');
        }

        return new self($timeZone, ClockTime::parse($dayStart));
    }

    public function dayOf(DateTimeImmutable $instant): PatientDay
    {
        $here = $instant->setTimezone($this->zone);
        $day = PatientDay::at($here);
        $since = (int) $here->format('G') * 60 + (int) $here->format('i') - $this->dayStart->minutes;
        // Far from the day start the hands of the clock are enough; near it the clock may be changed that night.
        $isBefore = abs($since) > self::NEAR_MINUTES ? $since < 0 : $instant < $this->startsAt($day);

        return $isBefore ? $day->previous() : $day;
    }

    public function startsAt(PatientDay $day): DateTimeImmutable
    {
        return $this->at($day, $this->dayStart);
    }

    /** The first instant that no longer belongs to the day. */
    public function endsAt(PatientDay $day): DateTimeImmutable
    {
        return $this->startsAt($day->next());
    }

    /** A time of day on a patient-day. Times before the day start fall on the next calendar day. */
    public function timeOn(PatientDay $day, ClockTime $time): DateTimeImmutable
    {
        return $this->at($time->isBefore($this->dayStart) ? $day->next() : $day, $time);
    }

    private function at(PatientDay $day, ClockTime $time): DateTimeImmutable
    {
        return new DateTimeImmutable("{$day->date} {$time->toString()}:00", $this->zone);
    }
}
