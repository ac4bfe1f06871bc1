<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;

/** Numbers from a start down to 0, one a count; the breath goes its own way. */
final readonly class ReverseCount implements Recipe
{
    public function segments(Prescription $prescription): array
    {
        $from = (int) $prescription->parameter('from');
        $count = $prescription->countLength->seconds * 1000;
        $cues = [];
        for ($number = $from; $number >= 0; $number--) {
            $start = (int) round(($from - $number) * $count);
            $end = (int) round(($from - $number + 1) * $count);
            $cues[] = new Cue(CueKind::Number, $start, $end - $start, 'cue.number', beats: [new Beat($start, $number)]);
        }

        return [Cues::settle(), new Segment(SegmentRole::Exercise, $cues)];
    }

    public function cycles(Prescription $prescription): array
    {
        return [];
    }
}
