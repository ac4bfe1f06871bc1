<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\Counts;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Place;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;

/**
 * So many breaths at a ratio, then the same with a count more on both moving phases, and so on. The patient's tap says
 * that the present length is the most that stays smooth: it is the comfort ceiling, and the set stays there.
 */
final readonly class GrowingEven implements Recipe
{
    public function segments(Prescription $prescription): array
    {
        $cycles = $this->cycles($prescription);
        $breaths = array_map(fn (int $step) => self::breathsAt($prescription, $step), array_keys($cycles));
        $segments = Cues::opening($prescription, $cycles[0]);
        $before = 0;
        foreach ($cycles as $step => $cycle) {
            $set = Cues::set($prescription, $cycle)
                ->compile($breaths[$step], new Place(step: $step + 1), $before, array_sum($breaths));
            $before += $breaths[$step];
            $segments[] = count($cycles) > 1 && $step < count($cycles) - 1 ? $set->growing() : $set;
        }

        return $segments;
    }

    /** Breaths at a length, counted from 0: its own number, or as many as at the first. */
    public static function breathsAt(Prescription $prescription, int $step): int
    {
        $own = (int) ($prescription->parameters['breaths-'.($step + 1)] ?? 0);

        return $own > 0 ? $own : (int) $prescription->breaths;
    }

    public function cycles(Prescription $prescription): array
    {
        $pattern = CountedSet::patternOf($prescription);
        $cycles = [];
        for ($step = 0; $step < (int) $prescription->parameter('steps'); $step++) {
            $more = fn (Phase $phase) => Counts::ofHundredths(min(Counts::MAX * 100, $pattern->counts($phase)->hundredths + $step * 100));
            $cycles[] = Cycle::of(
                $pattern->with(Phase::Inhale, $more(Phase::Inhale))->with(Phase::Exhale, $more(Phase::Exhale)),
                $prescription->countLength,
            );
        }

        return $cycles;
    }
}
