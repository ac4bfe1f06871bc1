<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use DateTimeImmutable;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Weekday;
use IvoryPace\InvalidValue;

/** One practice a day on an anchor, in a time window, on named weekdays. */
final readonly class AnchorSlot
{
    /**
     * @param  ClockTime  $to  end of the window; before $from when the window crosses midnight
     * @param  list<Weekday>  $weekdays  at least one
     *
     * @throws InvalidValue
     */
    public function __construct(
        public Anchor $anchor,
        public ClockTime $from,
        public ClockTime $to,
        public array $weekdays,
    ) {
        if ($weekdays === []) {
            throw InvalidValue::because("Choose at least one weekday for “{$anchor->label()}”, or remove it.");
        }
        if ($from->minutes === $to->minutes) {
            throw InvalidValue::because("The window of “{$anchor->label()}” begins and ends at {$from->toString()}.");
        }
    }

    public function isOn(Weekday $weekday): bool
    {
        return in_array($weekday, $this->weekdays, true);
    }

    /** When the window opens on a patient-day. */
    public function opensAt(PatientClock $clock, PatientDay $day): DateTimeImmutable
    {
        return $clock->timeOn($day, $this->from);
    }

    /** When the window closes, at the latest at the end of the patient-day: the practice is due from then on. */
    public function closesAt(PatientClock $clock, PatientDay $day): DateTimeImmutable
    {
        $closes = $clock->timeOn($day, $this->to);

        return $closes <= $this->opensAt($clock, $day) ? $clock->endsAt($day) : $closes;
    }
}
