<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\DraftReader;

/** Prescribes and compiles exercises from fields. */
trait Prescribing
{
    /** @param  array<string, mixed>  $fields */
    private function prescription(string $key, array $fields = []): Prescription
    {
        $draft = DraftReader::read(['technique' => $key, ...$fields], 'x');
        self::assertSame([], $draft->errors, $key);
        self::assertNotNull($draft->item);

        return $draft->item->prescription;
    }

    /** @param  array<string, mixed>  $fields */
    private function timeline(string $key, array $fields = []): Timeline
    {
        return Compiler::compile($this->prescription($key, $fields));
    }

    /** @return list<Segment> */
    private function exercise(Timeline $timeline): array
    {
        return array_values(array_filter($timeline->segments, fn (Segment $segment) => $segment->role === SegmentRole::Exercise));
    }

    private function announced(Timeline $timeline): Cue
    {
        $announced = array_values(array_filter($timeline->cues(), fn (Cue $cue) => $cue->announcesLast));
        self::assertCount(1, $announced);

        return $announced[0];
    }

    /**
     * @param  list<Cue>  $cues
     * @return list<string>
     */
    private function kinds(array $cues): array
    {
        return array_map(fn (Cue $cue) => $cue->kind->value, $cues);
    }

    /** @return list<int|null> */
    private function numbers(Cue $cue): array
    {
        return array_map(fn ($beat) => $beat->number, $cue->beats);
    }
}
