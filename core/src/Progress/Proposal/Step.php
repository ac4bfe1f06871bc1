<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Exercise\Adjusting;
use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\Exercise\Ladder\Rung;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\Item;

/** An exercise on another rung of its ladder; its times, reason and lineage stay. */
final class Step
{
    /** The next rung; null at the top, and for a routine. */
    public static function up(Item $item): ?Item
    {
        $next = $item->ladder()?->next();

        return $next === null ? null : self::with($item, $next->prescription, self::rest($item, $next));
    }

    /**
     * The rung below: the latest of the earlier forms from which the ladder led to the present one; where there is none,
     * what the school does first when it is too hard. Null where that offers nothing either, and for a routine.
     *
     * @param  list<Item>  $earlier  the same lineage in older versions, latest first
     */
    public static function back(Item $item, array $earlier): ?Item
    {
        foreach ($earlier as $then) {
            foreach (array_slice($then->ladder()->rungs ?? [], 1) as $rung) {
                if (self::isSame($rung->prescription, $item->prescription)) {
                    return self::with($item, $then->prescription, $then->ladder);
                }
            }
        }

        $easier = $item->routine === null ? Adjusting::tooHard($item->prescription, $item->school) : [];

        return $easier === [] ? null : self::with($item, PrescriptionReader::changed($item->prescription, $easier[0]->set), null);
    }

    /** What is left of an edited ladder; a generated one is generated anew. */
    private static function rest(Item $item, Rung $next): ?Ladder
    {
        return $item->ladder === null ? null : Ladder::of(
            $next->prescription, $item->school, array_map(fn (Rung $rung) => ['set' => $rung->set, 'days' => $rung->days], array_slice($item->ladder->rungs, 2)),
        );
    }

    private static function with(Item $item, Prescription $prescription, ?Ladder $ladder): ?Item
    {
        $changed = new Item($item->lineage, $prescription, $item->plan, $item->asNeeded, $item->school, null, $item->why, $item->short, $ladder);
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
