<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Calendar\Weekday;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\PatientFacts;

/** Which decision a changed exercise amounts to, so that it can stand beside what was proposed for it. */
final class WhatWasDone
{
    /**
     * @param  Item|null  $now  null where it is no longer prescribed
     * @param  list<Item>  $earlier  the same lineage in older versions, latest first
     * @param  PatientFacts  $patient  for whom it is easier
     * @return Decision|null null where breath and times are as they were: then nothing has been decided yet
     */
    public static function to(Item $then, ?Item $now, array $earlier = [], PatientFacts $patient = new PatientFacts): ?Decision
    {
        if ($now === null) {
            return Decision::Stop;
        }
        $isSameBreath = self::isSameBreath($then, $now);
        if ($isSameBreath && self::times($then) === self::times($now)) {
            return null;
        }
        foreach (
            [
                [StepTaken::up($then), Decision::StepUp], [StepTaken::back($then, $earlier, $patient), Decision::StepBack],
            ] as [$step, $decision]
        ) {
            if ($step !== null && self::isSameBreath($step, $now)) {
                return $decision;
            }
        }
        $more = max($now->minutesByWeekday()) - max($then->minutesByWeekday());

        // The same breath at other times is a better anchor: that lightens too.
        return $more < -1e-9 || ($isSameBreath && $more < 1e-9) ? Decision::Lighten : Decision::GoOn;
    }

    private static function isSameBreath(Item $one, Item $other): bool
    {
        return $one->routine === null && $other->routine === null
            ? PrescriptionFields::write($one->prescription) === PrescriptionFields::write($other->prescription)
            : $one->routine == $other->routine;
    }

    /** @return list<array{string, string, string, list<int>}>|null null as needed */
    private static function times(Item $item): ?array
    {
        return $item->plan === null ? null : array_map(
            fn (AnchorSlot $slot) => [
                $slot->anchor->value, $slot->from->toString(), $slot->to->toString(),
                array_map(fn (Weekday $day) => $day->value, $slot->weekdays),
            ],
            $item->plan->slots,
        );
    }
}
