<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Breath;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Comparison;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use PHPUnit\Framework\TestCase;

final class ComparisonTest extends TestCase
{
    /** 4:7:8 takes 19 s, 4:6:5 takes 15 s; 60/19 and 60/15 a minute: arithmetic. */
    public function test_478_against_465(): void
    {
        $lines = $this->lines(Cycle::of(BreathPattern::parse('4:7:8')), Cycle::of(BreathPattern::parse('4:6:5')));

        self::assertEqualsWithDelta(['inhale' => 0, 'hold' => -1, 'exhale' => -3, 'rest' => 0, 'one breath' => -4], array_slice($lines, 0, 5), 1e-9);
        self::assertEqualsWithDelta(60 / 15 - 60 / 19, $lines['breaths a minute'], 1e-9);
        self::assertEqualsWithDelta(5 / 4 - 2, $lines['exhale over inhale'], 1e-9);
        self::assertEqualsWithDelta(100 * (11 / 15 - 15 / 19), $lines['quiet share'], 1e-9);
    }

    public function test_the_same_ratio_slower_differs_in_seconds_only(): void
    {
        $lines = $this->lines(Cycle::of(BreathPattern::parse('2+1:6')), Cycle::of(BreathPattern::parse('2+1:6'), CountLength::seconds(1.5)));

        self::assertEqualsWithDelta([1.5, 3.0, 4.5], [$lines['inhale'], $lines['exhale'], $lines['one breath']], 1e-9);
        self::assertEqualsWithDelta([0, 0], [$lines['exhale over inhale'], $lines['quiet share']], 1e-9);
    }

    public function test_a_breath_does_not_differ_from_itself(): void
    {
        $cycle = Cycle::of(BreathPattern::parse('4:0:5:1'));

        self::assertEqualsWithDelta(array_fill(0, 8, 0.0), array_values($this->lines($cycle, $cycle)), 1e-12);
    }

    /** @return array<string, float> differences by what */
    private function lines(Cycle $a, Cycle $b): array
    {
        $lines = (new Comparison($a, $b))->lines();

        return array_combine(array_column($lines, 'what'), array_column($lines, 'difference'));
    }
}
