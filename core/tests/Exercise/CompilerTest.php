<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\DraftReader;
use PHPUnit\Framework\TestCase;

final class CompilerTest extends TestCase
{
    public function test_extended_exhale_leads_in_breathes_and_returns(): void
    {
        $timeline = Compiler::compile($this->prescription(['technique' => 'extended-exhale', 'count_length' => 0.8]));
        $roles = array_map(fn (Segment $segment) => $segment->role->value, $timeline->segments);

        self::assertSame(['lead-in', 'exercise', 'settle', 'return'], $roles);
        self::assertSame([3, 2, 1], array_map(fn ($beat) => $beat->number, $timeline->segments[0]->cues[0]->beats));
        self::assertSame(2400, $timeline->segments[0]->durationMs());
        self::assertSame(96_000, $timeline->exerciseMs());
        self::assertSame(12, $timeline->breaths());
        self::assertFalse($timeline->isAbout());
        self::assertSame(['cue.return.roll', 'cue.return.sit-up'], array_map(fn (Cue $cue) => $cue->instruction, $timeline->segments[3]->cues));
    }

    public function test_the_exhale_is_counted_down_so_that_what_is_left_is_heard(): void
    {
        $cues = Compiler::compile($this->prescription(['technique' => 'extended-exhale']))->segments[1]->cues;

        self::assertSame([1, 2, 3, 4], array_map(fn ($beat) => $beat->number, $cues[0]->beats));
        self::assertSame([5, 4, 3, 2, 1], array_map(fn ($beat) => $beat->number, $cues[1]->beats));
        self::assertSame('cue.exhale.nose', $cues[1]->instruction);
    }

    public function test_diaphragmatic_breathing_is_not_counted_and_turns_the_attention(): void
    {
        $timeline = Compiler::compile($this->prescription(['technique' => 'diaphragmatic', 'minutes' => 2.75, 'position' => 'seated']));
        $cues = $timeline->segments[2]->cues;

        self::assertSame(165_000, $timeline->exerciseMs());
        self::assertSame(0, $timeline->breaths());
        self::assertCount(6, $cues);
        self::assertSame(15_000, $cues[5]->durationMs);
        self::assertSame([], array_merge(...array_map(fn (Cue $cue) => $cue->beats, $cues)));
        self::assertGreaterThan(3, count(array_unique(array_map(fn (Cue $cue) => $cue->instruction, $cues))));
        self::assertSame('settle', $timeline->segments[3]->role->value, 'seated: no return from lying');
    }

    /** @param  array<string, mixed>  $fields */
    private function prescription(array $fields): Prescription
    {
        $item = DraftReader::read($fields, 'x')->item;
        self::assertNotNull($item);

        return $item->prescription;
    }
}
