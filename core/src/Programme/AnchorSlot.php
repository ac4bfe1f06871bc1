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
    public const MAX_NAME = 40;

    /**
     * @param  ClockTime  $to  end of the window; before $from when the window crosses midnight
     * @param  list<Weekday>  $weekdays  at least one
     * @param  string  $name  of a habit of the patient's own, 1–40 letters
     *
     * @throws InvalidValue
     */
    public function __construct(
        public Anchor $anchor,
        public ClockTime $from,
        public ClockTime $to,
        public array $weekdays,
        public string $name = '',
    ) {
        if ($anchor === Anchor::Own && (trim($name) === '' || mb_strlen($name) > self::MAX_NAME)) {
            throw InvalidValue::because('Name the habit in at most '.self::MAX_NAME.' letters, like “the news on the radio”.');
        }
        if ($weekdays === []) {
            throw InvalidValue::because("Choose at least one weekday for “{$this->label()}”, or remove it.");
        }
        if ($from->minutes === $to->minutes) {
            throw InvalidValue::because("The window of “{$this->label()}” begins and ends at {$from->toString()}.");
        }
    }

    /** For the prescriber: the habit by its own name, where it has one. */
    public function label(): string
    {
        return $this->anchor === Anchor::Own ? $this->name : $this->anchor->label();
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
