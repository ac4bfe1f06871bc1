<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Exercise\Adjusting;
use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Exercise\Ladder\Rung;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\SelfCheck;
use IvoryPace\Safety\PatientFacts;

/** An exercise on another rung of its ladder; its times, reason and lineage stay. */
final class StepTaken
{
    /**
     * The exercise as accepting a proposal would make it; null where that has to be chosen on the Bench.
     *
     * @param  list<Item>  $earlier  the same lineage in older versions, latest first
     */
    public static function by(ProposalKind $kind, Item $item, Reach $reach, array $earlier, PatientFacts $patient): ?Item
    {
        return match ($kind) {
            ProposalKind::StepUp => self::up($item, $reach),
            ProposalKind::StepBack => self::back($item, $earlier, $patient),
            default => null,
        };
    }

    /** What a step up would go to, of a routine on the ladder of one of its exercises; null where there is none within reach. */
    public static function nextRung(Item $item, Reach $reach): ?Rung
    {
        return $item->routine === null ? $item->ladder($reach)?->nextWithin($reach) : RoutineStepped::up($item, $reach)?->rung;
    }

    /** The next rung; null at the top, and where it would lead past what the patient can do. */
    public static function up(Item $item, Reach $reach = new Reach): ?Item
    {
        if ($item->routine !== null) {
            return RoutineStepped::up($item, $reach)?->item;
        }
        $next = $item->ladder($reach)?->nextWithin($reach);

        return $next === null ? null : self::with($item, $next->prescription, self::rest($item, $next));
    }

    /**
     * What was measured that keeps an exercise from its next rung.
     *
     * @return list<string> as {@see Reach::passed()}; empty when nothing does, or there is no next rung at all
     */
    public static function heldBackBy(Item $item, Reach $reach): array
    {
        $next = self::up($item, $reach) === null ? $item->ladder()?->nextWithin(new Reach) : null;

        return $next === null ? [] : $reach->passed($next->prescription);
    }

    /**
     * A form that is easier in every respect that is hard: the latest of the earlier ones from which the ladder led to the
     * present one, what the school does first when it is too hard, and then every other way. What is harder in anything, or
     * raises a finding, is passed over. Null where nothing is easier. Of a routine, one exercise eases.
     *
     * @param  list<Item>  $earlier  the same lineage in older versions, latest first
     */
    public static function back(Item $item, array $earlier, PatientFacts $patient = new PatientFacts): ?Item
    {
        if ($item->routine !== null) {
            return RoutineStepped::back($item, $patient);
        }
        $easier = new Easier($patient);
        $below = array_values(array_filter($earlier, fn (Item $then) => self::ledTo($then, $item)));
        $ways = [
            ...Adjusting::tooHard($item->prescription, $item->school, Easier::isNeverFlatter($patient)),
            ...Adjusting::anyEasier($item->prescription, Easier::isNeverFlatter($patient)),
        ];
        $others = array_values(
            array_filter(
                array_map(
                    fn (Change $change) => self::with($item, PrescriptionReader::changed($item->prescription, $change->set), null), $ways,
                ),
            ),
        );
        // What takes away from the hardest comes first; within that, the order stays.
        usort(
            $others,
            fn (Item $a, Item $b) => Easier::easesTheHardest(
                $item->prescription, $b->prescription,
            ) <=> Easier::easesTheHardest($item->prescription, $a->prescription),
        );
        $candidates = [
            ...array_values(array_filter(array_map(fn (Item $then) => self::with($item, $then->prescription, $then->ladder), $below))),
            ...$others,
        ];
        foreach ($candidates as $candidate) {
            if ($easier->isEasier($item, $candidate)) {
                return $candidate;
            }
        }

        return null;
    }

    private static function ledTo(Item $then, Item $now): bool
    {
        foreach (array_slice($then->ladder()->rungs ?? [], 1) as $rung) {
            if (self::isSame($rung->prescription, $now->prescription)) {
                return true;
            }
        }

        return false;
    }

    /** What is left of an edited ladder; a generated one is generated anew. */
    private static function rest(Item $item, Rung $next): ?Ladder
    {
        return $item->ladder === null ? null : Ladder::of(
            $next->prescription, $item->school,
            array_map(fn (Rung $rung) => ['set' => $rung->set, 'days' => $rung->days], array_slice($item->ladder->rungs, 2)),
        );
    }

    private static function with(Item $item, Prescription $prescription, ?Ladder $ladder): ?Item
    {
        $changed = new Item(
            $item->lineage, $prescription, $item->plan, $item->asNeeded, $item->school, null, $item->why, $item->short, $ladder,
            checks: array_values(array_filter($item->checks, fn (SelfCheck $check) => $check->suits($prescription))),
        );
        try {
            $changed->shortVersion();
        } catch (InvalidValue) {
            return null; // its short version does not go with it: it has to be looked at
        }

        return $changed;
    }

    private static function isSame(Prescription $one, Prescription $other): bool
    {
        return PrescriptionFields::write($one) === PrescriptionFields::write($other);
    }
}
