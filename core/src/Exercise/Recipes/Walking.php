<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;

/** Breathing paced by steps: a beat is a step. It begins by walking until the steps and the beats agree. */
final readonly class Walking implements Recipe
{
    /** Steps walked to the beat before the first breath is led. */
    private const FIRST_STEPS = 8;

    public function segments(Prescription $prescription): array
    {
        $cycle = $this->cycles($prescription)[0];
        $step = $cycle->countLength->seconds * 1000;
        $walk = [];
        for ($n = 0; $n < self::FIRST_STEPS; $n++) {
            $from = (int) round($n * $step);
            $walk[] = new Cue(CueKind::Step, $from, (int) round(($n + 1) * $step) - $from, 'cue.walk.find');
        }
        $set = Cues::set($prescription, $cycle, ['inhale' => 'cue.how.step-by-step', 'exhale' => 'cue.how.step-by-step']);

        return [new Segment(SegmentRole::LeadIn, $walk), $set->compile((int) $prescription->breaths)];
    }

    public function cycles(Prescription $prescription): array
    {
        return [Cycle::of(CountedSet::patternOf($prescription), $prescription->countLength)];
    }
}
