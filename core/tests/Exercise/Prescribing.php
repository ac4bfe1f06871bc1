<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Parameter;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Technique;
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

    /**
     * Any value of each parameter; an exhale that a tap ends only where no rest follows it.
     *
     * @return array<string, float>
     */
    private static function anyParameters(Technique $technique, ?string $ratio): array
    {
        $any = array_map(function (Parameter $parameter) {
            $values = range($parameter->min, $parameter->max, $parameter->step);

            return (float) $values[mt_rand(0, count($values) - 1)];
        }, $technique->parameters);

        return isset($any['open']) && substr_count((string) $ratio, ':') > 2 ? ['open' => 1.0] + $any : $any;
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
