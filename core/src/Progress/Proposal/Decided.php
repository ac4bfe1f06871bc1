<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Practice\Share;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\WeekPlan;
use IvoryPace\Safety\PatientFacts;

/**
 * What becomes of an exercise in the next version when something was decided for it. What cannot be done by itself, because
 * there is no rung, nothing easier or nothing to take away, is left as it is and has to be chosen.
 */
final readonly class Decided
{
    /** @param  Item|null  $item  null where it is taken out */
    private function __construct(public ?Item $item, public bool $isDone)
    {
    }

    /**
     * @param  list<Item>  $earlier  the same lineage in older versions, latest first
     * @param  array<string, Share>  $kept  how much was practised, by anchor
     */
    public static function of(
        Decision $decision,
        Item $item,
        Reach $reach,
        array $earlier,
        PatientFacts $patient,
        array $kept = [],
    ): self {
        $made = match ($decision) {
            Decision::StepUp => StepTaken::up($item, $reach),
            Decision::StepBack => StepTaken::back($item, $earlier, $patient),
            Decision::Lighten => self::lighter($item, $kept),
            Decision::GoOn, Decision::Stay, Decision::Pause, Decision::Stop => $item,
        };

        return $decision === Decision::Stop ? new self(null, true) : new self($made ?? $item, $made !== null);
    }

    /**
     * Whether what is on the Bench is what was decided.
     *
     * @param  Item|null  $draft  null where it is taken out
     * @param  list<Item>  $earlier
     */
    public static function isWhat(Decision $decision, Item $item, ?Item $draft, array $earlier, PatientFacts $patient): bool
    {
        $done = WhatWasDone::to($item, $draft, $earlier, $patient);

        return match ($decision) {
            Decision::GoOn, Decision::Stay => $done === null,
            // A pause holds whatever stands in the programme.
            Decision::Pause => $done !== Decision::Stop && $done !== Decision::StepUp,
            default => $done === $decision,
        };
    }

    /**
     * Once a day less, at the anchor that was kept least; null where once a day is left, or it is taken as needed.
     *
     * @param  array<string, Share>  $kept
     */
    private static function lighter(Item $item, array $kept): ?Item
    {
        $slots = $item->plan->slots ?? [];
        if (count($slots) < 2) {
            return null;
        }
        $least = count($slots) - 1;
        $share = fn (int $at): float => ($kept[$slots[$at]->anchor->value] ?? null)?->share() ?? 1.0;
        foreach (array_keys($slots) as $at) {
            $least = $share($at) < $share($least) ? $at : $least;
        }
        unset($slots[$least]);

        return new Item(
            $item->lineage, $item->prescription, new WeekPlan(array_values($slots)), null, $item->school, $item->routine, $item->why,
            $item->short, $item->ladder, checks: $item->checks,
        );
    }
}
