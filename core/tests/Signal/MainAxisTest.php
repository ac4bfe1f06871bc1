<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MainAxis;
use PHPUnit\Framework\TestCase;

/** A phone on the belly, however it lies. */
final class MainAxisTest extends TestCase
{
    public function test_breaths_are_found_however_it_lies(): void
    {
        $made = new MadeUpBreathing([3.0, 0.0, 4.5, 0.5], 20, noiseDb: 20);
        foreach ([[0, 1, 2], [2, 0, 1], [1, 2, 0]] as $order) {
            foreach ([1, -1] as $way) {
                $samples = array_map(fn (array $s) => [$s[0], $way * $s[1 + $order[0]], $way * $s[1 + $order[1]], $way * $s[1 + $order[2]]], $made->phone());
                $breaths = Breaths::in(MainAxis::of($samples, 3.0));
                self::assertCount(20, $breaths->all);
                self::assertEqualsWithDelta(7.5, $breaths->rate(), 0.2);
                foreach ($breaths->all as $n => $breath) {
                    self::assertEqualsWithDelta($made->truth[$n]['start'], $breath->start, 0.6);
                }
                self::assertGreaterThan(1.2, $breaths->ratio(), 'The inhale rises.');
            }
        }
    }

    public function test_a_phone_that_lies_on_a_table_breathes_not(): void
    {
        $still = array_map(fn (int $n) => [$n / 50, 0.1, 0.2, 9.79], range(0, 50 * 30));
        self::assertSame([], Breaths::in(MainAxis::of($still))->all);
        $this->expectException(InvalidValue::class);
        MainAxis::of([[0.0, 0.0, 0.0, 9.8], [0.02, NAN, 0.0, 9.8]]);
    }
}
