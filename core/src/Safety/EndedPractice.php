<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use DateTimeImmutable;
use IvoryPace\Health\StopClass;

/** How a practice ended, when, and when that was heard of. */
final readonly class EndedPractice
{
    /** @param  StopClass|null  $end  null when it was not stopped */
    public function __construct(
        public string $id,
        public DateTimeImmutable $endedAt,
        public DateTimeImmutable $heardAt,
        public ?StopClass $end,
    ) {
    }
}
