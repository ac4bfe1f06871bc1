<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;

/** A stretch in which an exercise, or every exercise, was paused. */
final readonly class Pause
{
    /**
     * @param  list<string>|null  $lineages  of the exercises that it holds; null for every one
     * @param  DateTimeImmutable|null  $until  null while it goes on
     */
    public function __construct(
        public ?array $lineages,
        public DateTimeImmutable $from,
        public ?DateTimeImmutable $until = null,
    ) {
    }

    public function concerns(string $lineage): bool
    {
        return $this->lineages === null || in_array($lineage, $this->lineages, true);
    }

    /** True when the exercise was paused at any time of the day. */
    public function touches(PatientDay $day, PatientClock $clock): bool
    {
        return $this->from < $clock->endsAt($day) && ($this->until === null || $this->until >= $clock->startsAt($day));
    }
}
