<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Calendar\Weekday;
use IvoryPace\Practice\Share;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\WeekPlan;

/**
 * What an exercise becomes when its programme is finished and is to be kept up: on fewer days, once a day, at the time
 * that the patient has kept best. What is used as needed stays. There is no next rung to go to, so an edited ladder goes.
 */
final class Maintenance
{
    /** Days a week at the most. Common practice; the practitioner changes it. */
    public const DAYS_A_WEEK = 3;

    /** A review of what is kept up is due after so many days at the latest. Common practice. */
    public const REVIEW_DAYS = 90;

    /** @param  array<string, Share>  $kept  how much was practised, by anchor */
    public static function of(Item $item, array $kept = []): Item
    {
        return new Item(
            $item->lineage, $item->prescription, $item->plan === null ? null : new WeekPlan([self::slot($item->plan, $kept)]),
            $item->asNeeded, $item->school, $item->routine, $item->why, $item->short, checks: $item->checks,
        );
    }

    /** @param  array<string, Share>  $kept */
    private static function slot(WeekPlan $plan, array $kept): AnchorSlot
    {
        $best = $plan->slots[0];
        $share = fn (AnchorSlot $slot): float => ($kept[$slot->anchor->value] ?? null)?->share() ?? 0.0;
        foreach ($plan->slots as $slot) {
            $best = $share($slot) > $share($best) ? $slot : $best;
        }

        return new AnchorSlot($best->anchor, $best->from, $best->to, self::spread($best->weekdays), $best->name);
    }

    /**
     * @param  list<Weekday>  $days
     * @return list<Weekday> as far apart as they go
     */
    private static function spread(array $days): array
    {
        $number = min(self::DAYS_A_WEEK, count($days));

        return array_map(fn (int $nth) => $days[intdiv($nth * count($days), $number)], range(0, $number - 1));
    }
}
