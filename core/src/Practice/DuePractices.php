<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\History;

/** Which practices a patient-day asks for, from the version in force that day. */
final class DuePractices
{
    /** @var array<string, list<DueSlot>> by date and lineage, once they have been asked for */
    private array $known = [];

    public function __construct(private readonly History $history, private readonly PatientClock $clock)
    {
    }

    /** @return list<DueSlot> of one exercise, by opening time */
    public function ofItem(PatientDay $day, string $lineage): array
    {
        return $this->known["{$day->date} $lineage"] ??= $this->find($day, $lineage);
    }

    /** How many practices of one exercise the day asks for. */
    public function countOf(PatientDay $day, string $lineage): int
    {
        return count($this->history->planOn($day, $lineage)?->on($day->weekday()) ?? []);
    }

    /** @return list<DueSlot> */
    private function find(PatientDay $day, string $lineage): array
    {
        $plan = $this->history->planOn($day, $lineage);
        if ($plan === null) {
            return [];
        }
        $slots = array_map(
            fn (AnchorSlot $slot) => new DueSlot(
                $lineage, $slot->anchor, $slot->opensAt($this->clock, $day), $slot->closesAt($this->clock, $day), $slot->name,
            ),
            $plan->on($day->weekday()),
        );
        usort($slots, self::byOpening(...));

        return $slots;
    }

    /** @return list<DueSlot> of all exercises, by opening time */
    public function on(PatientDay $day): array
    {
        $slots = [];
        foreach (array_keys($this->history->inForceOn($day)->plans ?? []) as $lineage) {
            array_push($slots, ...$this->ofItem($day, (string) $lineage));
        }
        usort($slots, self::byOpening(...));

        return $slots;
    }

    private static function byOpening(DueSlot $a, DueSlot $b): int
    {
        return [$a->opensAt, $a->closesAt, $a->lineage] <=> [$b->opensAt, $b->closesAt, $b->lineage];
    }
}
