<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Timeline\PacedSet;
use IvoryPace\Breath\Timeline\Retiming;
use PHPUnit\Framework\TestCase;

/**
 * The player changes the tempo by itself, also without a network. Both it and the core are held against the same numbers:
 * this test says that they are the core's, tests/front/retiming.test.ts that they are the player's.
 */
final class RetimingFixtureTest extends TestCase
{
    public function test_the_numbers_are_those_of_the_core(): void
    {
        $plain = (new PacedSet(Cycle::of(BreathPattern::parse('3:0:5:1'), CountLength::seconds(0.87)), []))->compile(4);
        $soft = (new PacedSet(Cycle::of(BreathPattern::of(3, 3)->withSoftPauses(2, 1.5)), []))->compile(3);
        $cases = [];
        foreach ([[$plain, 2, 1.15], [$plain, 0, 0.8], [$soft, 1, 1.3]] as [$set, $during, $factor]) {
            $cases[] = ['during' => $during, 'factor' => $factor, 'prescribed' => $set, 'retimed' => Retiming::tempo($set, $during, $factor)];
        }

        self::assertJsonStringEqualsJsonFile(__DIR__.'/../../front/retimed.json', (string) json_encode($cases));
    }

    public function test_joining_too(): void
    {
        $plain = (new PacedSet(Cycle::of(BreathPattern::parse('3:0:5:1'), CountLength::seconds(0.87)), []))->compile(6);
        $soft = (new PacedSet(Cycle::of(BreathPattern::of(3, 3)->withSoftPauses(2, 1.5)), []))->compile(4);
        $cases = [];
        foreach ([[$plain, 3.2, 4, 1.0], [$plain, 12.0, 3, 1.2], [$plain, 9.0, 2, 1.0], [$soft, 5.5, 2, 1.0], [$plain, 1.0, 6, 1.0], [$plain, 1.0, 6, 1.0, 4.0], [$soft, 5.5, 2, 1.0, 30.0]] as $case) {
            [$set, $seconds, $over, $slowest] = $case;
            $least = $case[4] ?? Retiming::LEAST_JOINING;
            $cases[] = ['seconds' => $seconds, 'over' => $over, 'slowest' => $slowest, 'least' => $least, 'prescribed' => $set, 'joined' => Retiming::joining($set, $seconds, $over, $slowest, $least)];
        }

        self::assertJsonStringEqualsJsonFile(__DIR__.'/../../front/joined.json', (string) json_encode($cases));
    }
}
