<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

/** A practice of a day and, once done, its record. */
final readonly class TodaySlot
{
    public function __construct(public DueSlot $due, public ?PracticeRecord $record)
    {
    }
}
