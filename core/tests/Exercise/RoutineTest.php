<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Exercise;

use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\Routine\RoutineStep;
use IvoryPace\Exercise\Routine\Shipped;
use IvoryPace\Exercise\Routine\StepKind;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

final class RoutineTest extends TestCase
{
    use Prescribing;

    public function test_five_are_shipped_and_read_back_exactly(): void
    {
        self::assertCount(5, Shipped::routines());
        foreach (Shipped::routines() as $key => $routine) {
            [$again, $errors] = RoutineFields::read(json_decode((string) json_encode(RoutineFields::write($routine)), true));
            self::assertSame([], $errors, $key);
            self::assertEquals($routine, $again, $key);
        }
    }

    public function test_totals_are_the_sums_of_the_steps(): void
    {
        foreach (Shipped::routines() as $key => $routine) {
            $timeline = $routine->timeline();
            $exercises = 0.0;
            $breaths = 0;
            foreach ($routine->steps as $step) {
                $exercises += $step->prescription?->exerciseSeconds() ?? ($step->kind === StepKind::Free ? $step->seconds : 0);
                $breaths += $step->prescription?->totalBreaths() ?? 0;
            }
            self::assertEqualsWithDelta($exercises, $timeline->exerciseMs() / 1000, 1e-9, $key);
            self::assertSame($breaths, $timeline->breaths(), $key);
            self::assertSame(array_sum(array_map(fn (Cue $cue) => $cue->durationMs, $timeline->cues())), $timeline->totalMs(), $key);
        }
    }

    public function test_what_is_taught_takes_nothing_from_the_hour(): void
    {
        $step = fn (float $minutes) => ['kind' => 'exercise', 'technique' => 'diaphragmatic', 'position' => 'supine', 'minutes' => $minutes];
        $errors = fn (float $minutes) => RoutineFields::read(['name' => 'Long', 'steps' => array_fill(0, 10, $step($minutes))])[1];

        self::assertSame([], $errors(5.8));
        self::assertSame(['steps' => 'A routine of 61 minutes is longer than 60.'], $errors(5.9));
    }

    public function test_each_cue_knows_its_step_and_moving_is_a_cue(): void
    {
        $cues = Shipped::routines()['trunk-and-ribs']->timeline()->cues();
        $steps = array_values(array_unique(array_map(fn (Cue $cue) => $cue->place->step, $cues)));

        self::assertSame([1, 2, 3, 4, 5], $steps);
        $moves = array_values(array_filter($cues, fn (Cue $cue) => $cue->kind->value === 'move'));
        self::assertSame(['position.prone'], array_map(fn (Cue $cue) => $cue->instruction, $moves), 'after returning one sits already');
        self::assertTrue(Shipped::routines()['trunk-and-ribs']->timeline()->isAbout(), 'it has an open hum');
    }

    public function test_one_returns_from_lying_but_is_not_woken(): void
    {
        $ends = fn (string $key) => array_slice(Shipped::routines()[$key]->timeline()->cues(), -1)[0];

        self::assertSame('cue.end.sleep-welcome', $ends('falling-asleep')->instruction);
        self::assertSame('cue.bell.end', $ends('end-of-shift')->instruction);
        $lying = new Routine('x', [RoutineStep::exercise($this->prescription('ribs-down'))]);
        self::assertSame('cue.return.sit-up', array_slice($lying->timeline()->cues(), -1)[0]->instruction);
    }

    public function test_what_cannot_be_a_routine_is_refused_in_place(): void
    {
        $errors = fn (array $fields) => RoutineFields::read($fields)[1];
        $good = ['kind' => 'exercise', 'technique' => 'square'];

        self::assertSame(['steps' => 'A routine of 200 steps is longer than 20.'], $errors(['name' => 'x', 'steps' => array_fill(0, 200, $good)]));
        self::assertSame(['steps' => 'A routine needs at least one exercise.'], $errors(['name' => 'x', 'steps' => [['kind' => 'free', 'seconds' => 30]]]));
        self::assertArrayHasKey('steps.1.ratio', $errors(['name' => 'x', 'steps' => [$good, [...$good, 'ratio' => '4;4']]]));
        self::assertArrayHasKey('steps.0.technique', $errors(['name' => 'x', 'steps' => [['kind' => 'exercise', 'technique' => 'nonsense']]]));
        self::assertArrayHasKey('steps.0.technique', $errors(['name' => 'x', 'steps' => [['kind' => 'exercise', 'technique' => 'forward-lean']]]));
        self::assertArrayHasKey('steps.0.seconds', $errors(['name' => 'x', 'steps' => [['kind' => 'free', 'seconds' => 4], $good]]));
        self::assertArrayHasKey('steps.0.kind', $errors(['name' => 'x', 'steps' => [['kind' => 'dance'], 'nonsense', $good]]));
        self::assertArrayHasKey('name', $errors(['name' => ' ', 'steps' => [$good]]));
        self::assertArrayHasKey('steps', $errors(['name' => 'long', 'steps' => array_fill(0, 3, ['kind' => 'exercise', 'technique' => 'diaphragmatic', 'minutes' => 25])]));
        $this->expectException(InvalidValue::class);
        new Routine('', [RoutineStep::exercise($this->prescription('square'))]);
    }
}
