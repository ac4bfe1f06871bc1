<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;
use IvoryPace\Programme\Anchor;

/** One practice of one exercise that a patient-day asks for. It is due when its window has closed. */
final readonly class DueSlot
{
    public function __construct(
        public string $lineage,
        public Anchor $anchor,
        public DateTimeImmutable $opensAt,
        public DateTimeImmutable $closesAt,
        public string $name = '',
    ) {
    }

    /** When half of the window is over: who has practised by then needs no reminder, and there is still time. */
    public function remindsAt(): DateTimeImmutable
    {
        $minutes = PracticeTime::half(intdiv($this->closesAt->getTimestamp() - $this->opensAt->getTimestamp(), 60));

        return $this->opensAt->modify("+{$minutes} minutes");
    }

    public function isDueAt(DateTimeImmutable $now): bool
    {
        return $this->closesAt <= $now;
    }
}
