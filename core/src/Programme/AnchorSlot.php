<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

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
}
