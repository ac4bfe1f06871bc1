<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Assessment\Measure;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Programme\Goal;
use IvoryPace\Progress\GoalMeasure;
use LogicException;
use PHPUnit\Framework\TestCase;

final class GoalMeasureTest extends TestCase
{
    public function test_every_measure_of_the_room_can_be_a_goal_in_its_unit(): void
    {
        foreach (GoalMeasure::all() as $measure) {
            $goal = $this->goal(mb_strtoupper($measure->label()), 8, 'at-least');
            self::assertSame($measure, GoalMeasure::of($goal));
            self::assertStringEndsWith("at least 8 {$measure->unit()}", GoalMeasure::inWords($goal));
            self::assertSame("8 {$measure->unit()} or more", GoalMeasure::target($goal));
        }
        $own = $this->goal('evening tension', 3.5, 'at-most');
        self::assertSame([null, 'evening tension at most 3.5', '3.5 or less'], [GoalMeasure::of($own), GoalMeasure::inWords($own), GoalMeasure::target($own)]);
        self::assertNull(GoalMeasure::of($this->goal(Measure::Symptom->label(), 3, 'at-most')), 'which symptom it is, nobody could tell');
    }

    public function test_a_measure_stands_until_it_is_taken_again(): void
    {
        $goal = $this->goal('Comfortable exhale or hum', 8, 'at-least');
        $on = fn (int $day, float $value): array => [PatientDay::of(sprintf('2026-03-%02d', $day)), $value];
        $today = PatientDay::of('2026-03-20');
        self::assertSame(0, GoalMeasure::daysReached($goal, [], $today));
        self::assertSame(0, GoalMeasure::daysReached($goal, [$on(2, 9.0), $on(9, 7.9)], $today), 'the latest is off it');
        self::assertSame(11, GoalMeasure::daysReached($goal, [$on(2, 9.0), $on(5, 7.0), $on(10, 8.0), $on(17, 12.0)], $today), 'the limit itself counts');
        self::assertSame(1, GoalMeasure::daysReached($goal, [$on(20, 8.5)], $today));
        self::assertSame(19, GoalMeasure::daysReached($this->goal('girth at rest, lower ribs', 90, 'at-most'), [$on(2, 90.0)], $today));
    }

    private function goal(string $measure, float $target, string $direction): Goal
    {
        [$goal, $errors] = Goal::read(['words' => 'to sing again', 'measure' => $measure, 'target' => (string) $target, 'direction' => $direction]);
        self::assertSame([], $errors);

        return $goal ?? throw new LogicException;
    }
}
