<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;

/** Of what somebody is to be reminded now: what is not done, not put off and not paused, with half of its window left. */
final class Reminders
{
    /**
     * @param  list<TodaySlot>  $slots  of a patient-day
     * @param  list<string>  $paused  lineages
     * @param  list<string>  $putOff  lineage and anchor of those put off, as {@see self::key()} writes them
     * @return list<DueSlot> one of each habit, by time
     */
    public static function due(array $slots, array $paused, array $putOff, DateTimeImmutable $now): array
    {
        $due = [];
        foreach ($slots as $slot) {
            $isOpen = $slot->due->remindsAt() <= $now && $now < $slot->due->closesAt;
            $isWanted = $slot->record === null && ! in_array($slot->due->lineage, $paused, true)
                && ! in_array(self::key($slot->due->lineage, $slot->due->anchor->value), $putOff, true);
            if ($isOpen && $isWanted) {
                $due["{$slot->due->anchor->value} {$slot->due->name}"] ??= $slot->due;
            }
        }

        return array_values($due);
    }

    public static function key(string $lineage, string $anchor): string
    {
        return "{$lineage} {$anchor}";
    }
}
