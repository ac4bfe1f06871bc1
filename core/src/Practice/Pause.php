<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;

/** A stretch in which an exercise, or every exercise, was paused. */
final readonly class Pause
{
    /**
     * @param  string|null  $lineage  null for every exercise
     * @param  DateTimeImmutable|null  $until  null while it goes on
     */
    public function __construct(
        public ?string $lineage,
        public DateTimeImmutable $from,
        public ?DateTimeImmutable $until = null,
    ) {
    }

    public function concerns(string $lineage): bool
    {
        return $this->lineage === null || $this->lineage === $lineage;
    }

    /** True when the exercise was paused at any time of the day. */
    public function touches(PatientDay $day, PatientClock $clock): bool
    {
        return $this->from < $clock->endsAt($day) && ($this->until === null || $this->until >= $clock->startsAt($day));
    }
}
