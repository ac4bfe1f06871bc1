<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Timeline\Place;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Side;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;

/** Rounds of two breaths: in left, out right, in right, out left. */
final readonly class AlternateNostril implements Recipe
{
    public function segments(Prescription $prescription): array
    {
        $cycle = $this->cycles($prescription)[0];
        $rounds = (int) $prescription->breaths;
        $set = Cues::set($prescription, $cycle, instructions: [
            'inhale' => 'cue.nostril.in', 'exhale' => 'cue.nostril.out', 'hold' => 'cue.nostril.hold', 'rest' => 'cue.rest',
        ])->compile($rounds * 2);
        $cues = [];
        foreach ($set->cues as $cue) {
            $first = $cue->place->breath % 2 === 1;
            $side = match ($cue->kind->value) {
                'inhale', 'top-up' => $first ? Side::Left : Side::Right,
                'exhale' => $first ? Side::Right : Side::Left,
                default => Side::None,
            };
            $cues[] = $cue->placed(new Place(1, intdiv($cue->place->breath + 1, 2), $cue->place->breath, $cue->place->ofBreaths), $side);
        }

        return [Cues::leadIn($cycle), new Segment(SegmentRole::Exercise, $cues)];
    }

    public function cycles(Prescription $prescription): array
    {
        return [Cycle::of(CountedSet::patternOf($prescription), $prescription->countLength)];
    }
}
