<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\Exercise\Ladder\LadderAxis;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Exercise\Ladder\Rung;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineStep;
use IvoryPace\Exercise\School;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Features;
use IvoryPace\Safety\PatientFacts;

/**
 * A routine grows and eases one exercise at a time, on that exercise's own ladder, and where it is practised stays: how one
 * gets from step to step is part of the routine. Common practice.
 */
final readonly class RoutineStepped
{
    /** @param  int  $index  which step, counted from 0 */
    private function __construct(public int $index, public Rung $rung, public Item $item)
    {
    }

    /** The exercise that has the most of its ladder before it is the next to grow, so that they grow evenly; null when none does. */
    public static function up(Item $item, Reach $reach): ?self
    {
        $best = null;
        $most = 0;
        foreach (self::exercises($item) as $index => $prescription) {
            $ladder = self::whereItIs($prescription, $item->school, $reach);
            $next = $ladder->nextWithin($reach);
            $left = count($ladder->rungs) - 1;
            if ($next === null || $left <= $most) {
                continue;
            }
            $grown = self::with($item, $index, $next->prescription);
            if ($grown !== null) {
                [$best, $most] = [new self($index, $next, $grown), $left];
            }
        }

        return $best;
    }

    /** The exercise with the longest hold or pause that can be made easier. */
    public static function back(Item $item, PatientFacts $patient): ?Item
    {
        $exercises = self::exercises($item);
        $pause = fn (Prescription $each): float => max(Features::of($each)->retention, Features::of($each)->pause());
        uasort($exercises, fn (Prescription $a, Prescription $b) => $pause($b) <=> $pause($a));
        foreach ($exercises as $index => $prescription) {
            $goesOn = $index < count($item->routine->steps ?? []) - 1;
            $easier = StepTaken::back($item->ofStep($prescription, $goesOn), [], $patient)?->prescription;
            if ($easier !== null && $easier->position === $prescription->position) {
                $eased = self::with($item, $index, $easier);
                if ($eased !== null) {
                    return $eased;
                }
            }
        }

        return null;
    }

    /** Its ladder without the rungs that lead into another position. */
    private static function whereItIs(Prescription $prescription, School $school, Reach $reach): Ladder
    {
        $ladder = Ladder::generate($prescription, $school, $reach);
        $rungs = array_filter(array_slice($ladder->rungs, 1), fn (Rung $rung) => $rung->axis !== LadderAxis::Position);
        if (count($rungs) === count($ladder->rungs) - 1) {
            return $ladder;
        }
        try {
            return Ladder::of(
                $prescription, $school, array_map(fn (Rung $rung) => ['set' => $rung->set, 'days' => $rung->days], array_values($rungs)),
            );
        } catch (InvalidValue) {
            return Ladder::of($prescription, $school, []);
        }
    }

    /** "step 2, Humming: out 7". */
    public function change(): string
    {
        return 'step '.($this->index + 1).", {$this->rung->prescription->name()}: {$this->rung->change()}";
    }

    /** @return array<int, Prescription> by step */
    private static function exercises(Item $item): array
    {
        return array_filter(array_map(fn (RoutineStep $step) => $step->prescription, $item->routine->steps ?? []));
    }

    /** Null where it would be no routine any more, or longer than an hour. */
    private static function with(Item $item, int $index, Prescription $prescription): ?Item
    {
        $steps = $item->routine->steps ?? [];
        $steps[$index] = RoutineStep::exercise($prescription);
        try {
            return $item->asRoutine(new Routine($item->routine->name ?? '', array_values($steps)));
        } catch (InvalidValue) {
            return null;
        }
    }
}
