<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;
use LogicException;

/**
 * A wide inhale and an exhale to the end: counted, or open, ended by the patient's tap and at the latest after its greatest
 * length. How long an open one lasted is logged.
 */
final readonly class CompleteExhale implements Recipe
{
    private const GREATEST_MS = 30_000;

    private const HOWS = [Phase::Inhale->value => 'cue.how.widen', Phase::Exhale->value => 'cue.how.to-the-end'];

    public function segments(Prescription $prescription): array
    {
        $counted = new CountedSet(self::HOWS);
        if (! $prescription->hasOpenExhale()) {
            return $counted->segments($prescription);
        }
        $cycle = $this->cycles($prescription)[0];
        $of = (int) $prescription->breaths;
        $set = Cues::set($prescription, $cycle, self::HOWS);
        $segments = Cues::opening($prescription, $cycle);
        for ($breath = 0; $breath < $of; $breath++) {
            $cues = $set->compile(1, before: $breath, of: $of)->cues;
            $exhale = array_pop($cues) ?? throw new LogicException('A breath has cues.');
            $segments[] = new Segment(SegmentRole::Exercise, [...$cues, new Cue(
                CueKind::Exhale, $exhale->startMs, $exhale->durationMs, $exhale->instruction, $exhale->volumeFrom, $exhale->volumeTo,
                place: $exhale->place, greatestMs: max($exhale->durationMs, self::GREATEST_MS), how: $exhale->how,
            )]);
        }

        return $segments;
    }

    public function cycles(Prescription $prescription): array
    {
        return (new CountedSet)->cycles($prescription);
    }
}
