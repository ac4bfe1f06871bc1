<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\History;
use IvoryPace\Programme\Version;

/**
 * The practices that a programme asks for as times that repeat. Day by day it is what {@see DuePractices} says, with the
 * exercises that share a habit taken together.
 */
final readonly class PracticeTimes
{
    public function __construct(private History $history, private PatientClock $clock)
    {
    }

    /**
     * @param  list<string>  $leftOut  lineages: what is paused is reminded of by nobody
     * @return list<PracticeTime> by version and time
     */
    public function between(PatientDay $from, PatientDay $until, array $leftOut = []): array
    {
        $times = [];
        foreach ($this->history->versions as $at => $version) {
            $begins = self::later($from, $version->inForceFrom);
            $ends = $this->endOf($version, $this->history->versions[$at + 1] ?? null, $until);
            foreach (self::habits($version, $leftOut) as $slots) {
                $time = $this->repeated($version, $slots, $begins, $ends);
                if ($time !== null) {
                    $times[] = $time;
                }
            }
        }

        return $times;
    }

    /**
     * @param  list<string>  $leftOut
     * @return array<string, non-empty-list<AnchorSlot>> slots of one habit with one window, by what tells them apart
     */
    private static function habits(Version $version, array $leftOut): array
    {
        $habits = [];
        foreach (array_diff_key($version->plans, array_flip($leftOut)) as $plan) {
            foreach ($plan->slots as $slot) {
                $key = sprintf('%04d %04d %s %s', $slot->from->minutes, $slot->to->minutes, $slot->anchor->value, $slot->name);
                $habits[$key][] = $slot;
            }
        }
        ksort($habits);

        return $habits;
    }

    /** @param  non-empty-list<AnchorSlot>  $slots */
    private function repeated(Version $version, array $slots, PatientDay $begins, PatientDay $ends): ?PracticeTime
    {
        $days = [];
        // A week holds every weekday once.
        for ($day = $begins; ! $day->isAfter($ends) && $begins->daysUntil($day) < 7; $day = $day->next()) {
            if (self::isOn($slots, $day->weekday())) {
                $days[] = $day;
            }
        }
        if ($days === []) {
            return null;
        }
        $last = $ends;
        while (! self::isOn($slots, $last->weekday())) {
            $last = $last->previous();
        }
        $first = $slots[0]->opensAt($this->clock, $days[0]);
        $closes = $slots[0]->closesAt($this->clock, $days[0]);
        $opens = array_map(fn (PatientDay $day) => $slots[0]->opensAt($this->clock, $day), $days);

        return new PracticeTime(
            $version->number, $slots[0]->anchor, $slots[0]->name, $first, $slots[0]->opensAt($this->clock, $last), $slots[0]->from,
            max(1, intdiv($closes->getTimestamp() - $first->getTimestamp(), 60)),
            array_map(fn (DateTimeImmutable $at) => Weekday::from((int) $at->format('N')), $opens),
        );
    }

    /** @param  non-empty-list<AnchorSlot>  $slots */
    private static function isOn(array $slots, Weekday $weekday): bool
    {
        foreach ($slots as $slot) {
            if ($slot->isOn($weekday)) {
                return true;
            }
        }

        return false;
    }

    /** The last day of a version: its own, the one before the next begins, or the one on which the programme was closed. */
    private function endOf(Version $version, ?Version $next, PatientDay $until): PatientDay
    {
        $ends = $until;
        foreach ([$version->endsOn, $next?->inForceFrom->previous(), $this->history->closedOn] as $end) {
            $ends = $end !== null && $end->isBefore($ends) ? $end : $ends;
        }

        return $ends;
    }

    private static function later(PatientDay $one, PatientDay $other): PatientDay
    {
        return $one->isBefore($other) ? $other : $one;
    }
}
