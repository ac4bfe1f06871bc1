<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Programme;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineStep;
use IvoryPace\Exercise\Routine\StepKind;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\DraftReader;
use IvoryPace\Programme\Goal;
use IvoryPace\Programme\Need\AsNeeded;
use IvoryPace\Programme\ProgrammeDates;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Everything that is written is taken at its least and at its greatest, and refused beyond, beside its field. */
final class LimitsTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, list<mixed>, list<mixed>}> field, the rest, taken, refused */
    public static function fields(): iterable
    {
        $exhale = ['technique' => 'extended-exhale', 'position' => 'seated'];
        yield 'breaths' => ['breaths', $exhale, [1, 200], [0, 201, 1.5, 'many', '']];
        yield 'minutes' => ['minutes', ['technique' => 'diaphragmatic'], [0.5, 30], [0.49, 30.01, 'long']];
        yield 'count length' => ['count_length', $exhale, [0.4, 2], [0.39, 2.01, 0, -1, '1,2']];
        yield 'ratio' => ['ratio', $exhale, ['1:60', '60:1', '0.5:1'], ['61:1', '4:x', '4:5:6:7:8', '0:4', '']];
        yield 'slowest' => ['slowest', $exhale, [1, 2], [0.99, 2.01]];
        yield 'fastest' => ['fastest', $exhale, [0.5, 1], [0.49, 1.01]];
        yield 'times a day' => ['times_a_day', $exhale, [1, 9], [0, 10, 1.5]];
        yield 'why' => ['why', $exhale, [str_repeat('é', 200)], [str_repeat('é', 201)]];
        yield 'when it is used' => ['use_when', [...$exhale, 'as_needed' => true, 'daily_most' => 3], ['x', str_repeat('é', 80)], ['', '  ', str_repeat('é', 81)]];
        yield 'how often at most' => ['daily_most', [...$exhale, 'as_needed' => true, 'use_when' => 'before I speak'], [1, 30], [0, 31, 2.5]];
        yield 'own name' => ['own_name', ['technique' => 'own', 'ratio' => '3:5', 'breaths' => 6, 'position' => 'seated'], ['x', str_repeat('é', 40)], [str_repeat('é', 41)]];
        yield 'own criterion' => ['own_right', ['technique' => 'own', 'own_name' => 'Mine', 'ratio' => '3:5', 'breaths' => 6, 'position' => 'seated'], ['', str_repeat('é', 160)], [str_repeat('é', 161)]];
        yield 'position' => ['position', ['technique' => 'extended-exhale'], ['seated', 'supine'], ['flying', 'walking']];
        yield 'effort' => ['effort', $exhale, ['gentle'], ['huge']];
        yield 'gaze' => ['gaze', $exhale, ['choice'], ['inward']];
        yield 'fade' => ['fade', $exhale, ['nothing', 'sound'], ['light']];
    }

    /**
     * @param  array<string, mixed>  $rest
     * @param  list<mixed>  $taken
     * @param  list<mixed>  $refused
     */
    #[DataProvider('fields')]
    public function test_a_field(string $field, array $rest, array $taken, array $refused): void
    {
        foreach ($taken as $value) {
            self::assertSame([], DraftReader::read([...$rest, $field => $value], 'x')->errors, json_encode($value) ?: '');
        }
        foreach ($refused as $value) {
            $draft = DraftReader::read([...$rest, $field => $value], 'x');
            self::assertNotSame('', $draft->errors[$field] ?? ($field === 'ratio' && $value === '' ? 'its default' : ''), $field.' '.(json_encode($value) ?: ''));
        }
    }

    public function test_what_supports_the_body_goes_with_its_position(): void
    {
        $props = fn (string $position, array $props): array => array_map(fn (Prop $prop) => $prop->value, DraftReader::read(['technique' => 'extended-exhale', 'position' => $position, 'props' => $props], 'x')->item?->prescription->props ?? self::fail());
        $all = array_map(fn (Prop $prop) => $prop->value, Prop::cases());
        self::assertSame(['pillow-under-knees', 'pillow-under-head', 'wedge', 'rolled-towel', 'blanket', 'strap'], $props('supine', $all));
        self::assertSame(['chair-with-back', 'low-back-support', 'blanket', 'mirror', 'strap'], $props('seated', $all), 'nobody sits with a pillow under the head');
        self::assertSame(['pillow-under-head', 'wedge', 'blanket', 'strap'], $props('side-lying', $all));
        self::assertSame(['cushion-to-sit-on', 'blanket', 'mirror', 'strap'], $props('kneeling', $all));
        self::assertSame(['blanket', 'chair-with-back'], $props('seated', ['pillow-under-head', 'blanket']), 'a lost support is replaced');
        self::assertSame(['wedge'], $props('reclined', ['chair-with-back']));
        self::assertSame([], $props('standing', ['pillow-under-head']));
        self::assertArrayHasKey('props', DraftReader::read(['technique' => 'extended-exhale', 'props' => ['trampoline']], 'x')->errors);
    }

    public function test_a_use_as_needed_says_when_and_how_often(): void
    {
        self::assertSame([1, 30], [(new AsNeeded('x', 1))->dailyMost, (new AsNeeded('x', 30))->dailyMost]);
        $this->assertRefused(fn () => new AsNeeded(' ', 1), 'Say when it is to be used.');
        $this->assertRefused(fn () => new AsNeeded(str_repeat('é', 81), 1), 'When it is used fits in 80 letters.');
        $this->assertRefused(fn () => new AsNeeded('x', 0), 'At most 0 a day is outside 1 to 30.');
        $this->assertRefused(fn () => new AsNeeded('x', 31), 'At most 31 a day is outside 1 to 30.');
    }

    public function test_a_step_lasts_five_seconds_to_ten_minutes(): void
    {
        self::assertSame([5.0, 600.0], [RoutineStep::timed(StepKind::Free, 5)->seconds, RoutineStep::timed(StepKind::Free, 600)->seconds]);
        foreach ([4.9, 600.1] as $wrong) {
            $this->assertRefused(fn () => RoutineStep::timed(StepKind::Free, $wrong), '5 to 600');
        }
        $steps = fn (int $count): array => array_map(fn () => RoutineStep::timed(StepKind::Free, 30), range(1, $count));
        $exercise = RoutineStep::exercise(DraftReader::read(['technique' => 'noticing', 'minutes' => 1], 'x')->item->prescription ?? self::fail());
        self::assertCount(20, (new Routine('Mine', [$exercise, ...$steps(19)]))->steps);
        $this->assertRefused(fn () => new Routine('Mine', [$exercise, ...$steps(20)]), '20');
        $this->assertRefused(fn () => new Routine('', [$exercise]), '');
        $this->assertRefused(fn () => new Routine('Mine', array_fill(0, 3, RoutineStep::exercise(DraftReader::read(['technique' => 'diaphragmatic', 'minutes' => 25], 'x')->item->prescription ?? self::fail()))), '60');
    }

    public function test_a_goal(): void
    {
        self::assertNull(Goal::read([])[0]);
        foreach ([0, 1000] as $target) {
            self::assertSame([], Goal::read(['words' => 'Sleep', 'measure' => 'hours', 'target' => $target, 'direction' => 'at-most'])[1]);
        }
        foreach ([-0.1, 1000.1, 'x'] as $target) {
            self::assertArrayHasKey('target', Goal::read(['words' => 'Sleep', 'measure' => 'hours', 'target' => $target, 'direction' => 'at-most'])[1]);
        }
        self::assertSame([], Goal::read(['words' => str_repeat('é', 200), 'measure' => str_repeat('é', 60), 'target' => 1, 'direction' => 'at-least'])[1]);
        self::assertArrayHasKey('words', Goal::read(['words' => str_repeat('é', 201)])[1]);
        self::assertArrayHasKey('measure', Goal::read(['words' => 'x', 'measure' => str_repeat('é', 61), 'target' => 1])[1]);
    }

    public function test_a_later_version_never_begins_before_the_one_it_replaces(): void
    {
        $today = PatientDay::of('2026-11-25');
        $of = fn (?string $replaced, ?string $start) => ProgrammeDates::from($today, $replaced === null ? null : PatientDay::of($replaced), $start === null ? null : PatientDay::of($start), PatientDay::of('2026-12-10'))->forWeeks(4);
        self::assertSame('2026-11-26', $of('2026-11-01', null)->from->date, 'the day of change keeps the old dose');
        self::assertSame('2026-12-03', $of('2026-12-03', null)->from->date, 'what is not in force yet is replaced on the day on which it would have begun');
        self::assertSame('2026-11-26', $of('2026-11-26', '2026-11-20')->from->date);
        self::assertSame(['starts_on' => 'The programme cannot start in the past.'], $of(null, '2026-11-24')->problems());
        self::assertSame([], $of(null, '2026-11-25')->problems());
    }

    /** @param  callable(): mixed  $do */
    private function assertRefused(callable $do, string $because): void
    {
        try {
            $do();
            self::fail("not refused: $because");
        } catch (InvalidValue $problem) {
            self::assertStringContainsString($because, $problem->getMessage());
        }
    }
}
