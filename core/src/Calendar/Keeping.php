<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

use IvoryPace\InvalidValue;

/**
 * How long a clinic keeps a record after it was put away. How long it must, and how long it may, the law of its place says; of
 * somebody who was no adult it is kept until they are some years older (common practice).
 */
final readonly class Keeping
{
    public const ADULT = 18;

    /** Years. */
    public const LEAST = 1;

    /** Years. */
    public const MOST = 50;

    /** @param  int  $untilAge  years of age up to which the record of a minor is kept at least */
    private function __construct(public int $years, public int $untilAge)
    {
    }

    /** @throws InvalidValue outside of 1 to 50 years, or 18 to 50 years of age */
    public static function of(int $years, int $untilAge): self
    {
        if ($years < self::LEAST || $years > self::MOST) {
            throw InvalidValue::because('A record is kept for '.self::LEAST.' to '.self::MOST.' years.');
        }
        if ($untilAge < self::ADULT || $untilAge > self::MOST) {
            throw InvalidValue::because('The record of a minor is kept up to an age of '.self::ADULT.' to '.self::MOST.'.');
        }

        return new self($years, $untilAge);
    }

    /** The day from which it may go. */
    public function dueOn(PatientDay $born, PatientDay $putAway): PatientDay
    {
        $due = self::later($putAway, $this->years);
        $isMinor = $putAway->isBefore(self::later($born, self::ADULT));
        $grown = self::later($born, $this->untilAge);

        return $isMinor && $grown->isAfter($due) ? $grown : $due;
    }

    /** The 29th of February is followed by the 1st of March where there is none. */
    private static function later(PatientDay $day, int $years): PatientDay
    {
        [$year, $month, $date] = array_map(intval(...), explode('-', $day->date));
        $year += $years;

        return PatientDay::of(
            checkdate($month, $date, $year) ? sprintf('%04d-%02d-%02d', $year, $month, $date) : sprintf('%04d-03-01', $year),
        );
    }
}
