<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Assessment;

use IvoryPace\Assessment\Measure;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

final class MeasureTest extends TestCase
{
    public function test_what_is_usual_lies_within_what_is_possible(): void
    {
        foreach (Measure::cases() as $measure) {
            [$least, $most] = $measure->possible();
            [$low, $high] = $measure->usual();
            self::assertTrue($least <= $low && $low < $high && $high <= $most, $measure->value);
            self::assertNotSame('', $measure->label().$measure->unit());
            self::assertEquals([$least, $most], [$measure->check($least), $measure->check($most)]);
            foreach ([$least - 0.1, $most + 0.1] as $impossible) {
                try {
                    $measure->check($impossible);
                    self::fail("{$measure->value} of $impossible was taken");
                } catch (InvalidValue $problem) {
                    self::assertStringContainsString('is outside', $problem->getMessage());
                }
            }
        }
    }

    /** Highest scores of NEWS 2, Royal College of Physicians 2017 (from memory): ≤ 8 or ≥ 25, ≤ 91 %, ≤ 40 or ≥ 131, ≤ 90 or ≥ 220. */
    public function test_urgent_values_are_asked_about(): void
    {
        $urgent = [[Measure::RestingRate, [8, 25]], [Measure::Saturation, [91]], [Measure::Pulse, [40, 131]], [Measure::Systolic, [90, 220]]];
        foreach ($urgent as [$measure, $values]) {
            foreach ($values as $value) {
                self::assertTrue($measure->isUnusual($value), "{$measure->value} $value");
            }
        }
        foreach ([[Measure::RestingRate, 9], [Measure::RestingRate, 24], [Measure::Saturation, 92], [Measure::Pulse, 41], [Measure::Pulse, 130], [Measure::Systolic, 91], [Measure::Systolic, 219]] as [$measure, $value]) {
            self::assertFalse($measure->isUnusual($value), "{$measure->value} $value");
        }
    }

    public function test_the_three_limits_are_tried_more_than_once(): void
    {
        self::assertSame(['inhale', 'hold', 'exhale'], array_values(array_map(fn (Measure $measure) => $measure->value, array_filter(Measure::cases(), fn (Measure $measure) => $measure->isLimit()))));
    }
}
