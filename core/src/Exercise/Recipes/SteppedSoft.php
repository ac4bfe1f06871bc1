<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Place;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;

/** Even breaths that lengthen step by step, with soft pauses of fixed length. */
final readonly class SteppedSoft implements Recipe
{
    private const FIRST_BREATHS = 3;

    private const LATER_BREATHS = 2;

    public function segments(Prescription $prescription): array
    {
        $cycles = $this->cycles($prescription);
        $of = self::FIRST_BREATHS + (count($cycles) - 1) * self::LATER_BREATHS;
        $segments = Cues::opening($prescription, $cycles[0]);
        $before = 0;
        foreach ($cycles as $step => $cycle) {
            $breaths = $step === 0 ? self::FIRST_BREATHS : self::LATER_BREATHS;
            $segments[] = Cues::set(
                $prescription, $cycle, instructions: [Phase::Hold->value => 'cue.soft-pause', Phase::Rest->value => 'cue.soft-pause'],
            )->compile($breaths, new Place(step: $step + 1), $before, $of);
            $before += $breaths;
        }

        return $segments;
    }

    public function cycles(Prescription $prescription): array
    {
        $pause = $prescription->parameter('pause');
        $start = (int) $prescription->parameter('start');
        $cycles = [];
        for ($counts = $start; $counts <= max($start, (int) $prescription->parameter('top')); $counts++) {
            $cycles[] = Cycle::of(BreathPattern::of($counts, $counts)->withSoftPauses($pause, $pause), $prescription->countLength);
        }

        return $cycles;
    }
}
