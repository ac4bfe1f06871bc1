<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

use IvoryPace\InvalidValue;

/** A time on the wall clock, in minutes since midnight: 0–1439. */
final readonly class ClockTime
{
    private function __construct(public int $minutes)
    {
    }

    /**
     * @param  string  $text  "07:30" or "7:30", with or without seconds
     *
     * @throws InvalidValue when it is no such time
     */
    public static function parse(string $text): self
    {
        if (preg_match('/^(\d{1,2}):(\d{2})(?::\d{2})?$/D', trim($text), $match) !== 1 || (int) $match[1] > 23 || (int) $match[2] > 59) {
            throw InvalidValue::because(InvalidValue::quoted($text).' is not a time of day; write it like 07:30.');
        }

        return new self((int) $match[1] * 60 + (int) $match[2]);
    }

    public function toString(): string
    {
        return sprintf('%02d:%02d', intdiv($this->minutes, 60), $this->minutes % 60);
    }

    public function isBefore(self $other): bool
    {
        return $this->minutes < $other->minutes;
    }
}
