<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Prescription;

/** What is known of a patient on the day a prescription is checked. */
final readonly class PatientFacts
{
    /** @var array<string, Flag> */
    private array $flags;

    /**
     * @param  list<Flag>  $flags  those in force today
     * @param  int|null  $age  whole years
     * @param  int|null  $pregnancyWeeks  weeks of gestation
     * @param  float|null  $restingRate  breaths per minute
     * @param  int|null  $nijmegen  0–64
     * @param  float|null  $minutesADay  minutes a day that the patient said they have
     * @param  int  $programmeDay  0 on the first day of the programme, also before it
     * @param  Prescription|null  $inForce  the same exercise as it is prescribed now
     */
    public function __construct(
        array $flags = [],
        public ?int $age = null,
        public ?int $pregnancyWeeks = null,
        public ComfortableLimits $limits = new ComfortableLimits,
        public ?float $restingRate = null,
        public ?int $nijmegen = null,
        public ?float $minutesADay = null,
        public int $programmeDay = 0,
        public ?Prescription $inForce = null,
    ) {
        if ($age !== null && $age < 16) {
            $flags[] = Flag::Under16;
        }
        if ($age !== null && $age < 12) {
            $flags[] = Flag::Under12;
        }
        $this->flags = array_combine(array_map(fn (Flag $flag) => $flag->value, $flags), $flags);
    }

    /** The same patient, for an exercise that is prescribed like this now. */
    public function comparedWith(?Prescription $inForce): self
    {
        return new self(
            array_values(array_filter($this->flags, fn (Flag $flag) => $flag->isAsked())), $this->age, $this->pregnancyWeeks, $this->limits,
            $this->restingRate, $this->nijmegen, $this->minutesADay, $this->programmeDay, $inForce,
        );
    }

    public function has(Flag $flag): bool
    {
        return isset($this->flags[$flag->value]);
    }

    /**
     * @param  list<Flag>  $flags
     * @return list<Flag> those of the list that the patient has
     */
    public function which(array $flags): array
    {
        return array_values(array_filter($flags, $this->has(...)));
    }

    /** @return list<Flag> */
    public function flags(): array
    {
        return array_values($this->flags);
    }
}
