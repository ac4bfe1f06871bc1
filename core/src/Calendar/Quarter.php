<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

use IvoryPace\InvalidValue;

/** Three months of a calendar year: 1 is January to March. */
final readonly class Quarter
{
    private const MONTHS = ['Jan–Mar', 'Apr–Jun', 'Jul–Sep', 'Oct–Dec'];

    private function __construct(public int $year, public int $number)
    {
    }

    /** @throws InvalidValue outside of 1 to 4, or of years with four digits */
    public static function of(int $year, int $number): self
    {
        return $number >= 1 && $number <= 4 && $year >= 1000 && $year <= 9999
            ? new self($year, $number) : throw InvalidValue::because("There is no quarter $number of $year.");
    }

    public static function containing(PatientDay $day): self
    {
        return self::of((int) substr($day->date, 0, 4), intdiv((int) substr($day->date, 5, 2) - 1, 3) + 1);
    }

    /** Reads "2026-4"; null when it is none. */
    public static function read(string $text): ?self
    {
        return preg_match('/^([1-9]\d{3})-([1-4])$/D', $text, $parts) === 1 ? self::of((int) $parts[1], (int) $parts[2]) : null;
    }

    public function previous(): self
    {
        return $this->number === 1 ? self::of($this->year - 1, 4) : self::of($this->year, $this->number - 1);
    }

    public function firstDay(): PatientDay
    {
        return PatientDay::of(sprintf('%d-%02d-01', $this->year, $this->number * 3 - 2));
    }

    public function lastDay(): PatientDay
    {
        return ($this->number === 4 ? self::of($this->year + 1, 1) : self::of($this->year, $this->number + 1))->firstDay()->previous();
    }

    /** "2026-4". */
    public function key(): string
    {
        return "{$this->year}-{$this->number}";
    }

    /** "Oct–Dec 2026". */
    public function label(): string
    {
        return self::MONTHS[$this->number - 1]." {$this->year}";
    }
}
