<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

use DateTimeImmutable;
use IvoryPace\InvalidValue;

/** A day of a patient's life, named by the calendar date on which it starts. {@see PatientClock} says when. */
final readonly class PatientDay
{
    private function __construct(public string $date)
    {
    }

    /**
     * @param  string  $date  ISO 8601: 2026-11-25
     *
     * @throws InvalidValue when there is no such date
     */
    public static function of(string $date): self
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $date, $match) !== 1
            || ! checkdate((int) $match[2], (int) $match[3], (int) $match[1])) {
            throw InvalidValue::because(InvalidValue::quoted($date).' is not a date; write it like 2026-11-25.');
        }

        return new self($date);
    }

    /** The calendar date of an instant, in the zone that it carries. */
    public static function at(DateTimeImmutable $local): self
    {
        return new self($local->format('Y-m-d'));
    }

    public function next(): self
    {
        return $this->plusDays(1);
    }

    public function previous(): self
    {
        return $this->plusDays(-1);
    }

    public function plusDays(int $days): self
    {
        return new self(gmdate('Y-m-d', ($this->number() + $days) * 86_400));
    }

    /** Days from this day to the other; negative when the other is earlier. */
    public function daysUntil(self $other): int
    {
        return $other->number() - $this->number();
    }

    public function weekday(): Weekday
    {
        return Weekday::from((int) gmdate('N', $this->number() * 86_400));
    }

    public function isBefore(self $other): bool
    {
        return $this->date < $other->date;
    }

    public function isAfter(self $other): bool
    {
        return $this->date > $other->date;
    }

    public function equals(self $other): bool
    {
        return $this->date === $other->date;
    }

    /** @return list<self> this day to the other, both included; empty when the other is earlier */
    public function through(self $other): array
    {
        $days = [];
        for ($day = $this; ! $day->isAfter($other); $day = $day->next()) {
            $days[] = $day;
        }

        return $days;
    }

    /** Days since 1 January 1970. */
    private function number(): int
    {
        return intdiv(
            (int) gmmktime(
                12, 0, 0, (int) substr($this->date, 5, 2), (int) substr($this->date, 8, 2), (int) substr($this->date, 0, 4),
            ) - 43_200,
            86_400,
        );
    }
}
