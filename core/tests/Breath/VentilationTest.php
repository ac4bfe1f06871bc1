<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Breath;

use IvoryPace\Breath\Ventilation;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

/** Worked by hand: (litres − 0.15) × 60 / seconds. */
final class VentilationTest extends TestCase
{
    public function test_the_ventilation_of_one_breath(): void
    {
        self::assertEqualsWithDelta(4.2, Ventilation::of(0.5, 5.0), 1e-9, 'at rest: 0.35 l, 12 a minute');
        self::assertEqualsWithDelta(8.1, Ventilation::of(1.5, 10.0), 1e-9, 'full size at six a minute: 1.35 × 6');
        self::assertEqualsWithDelta(7.0, Ventilation::of(1.2, 9.0), 1e-9, 'topped up at 2+1:6: 1.05 × 60 / 9');
        self::assertEqualsWithDelta(0.0, Ventilation::of(0.1, 5.0), 1e-9, 'less than fills the airways');
        // A full-size breath passes twice the rest above 6.2 and three times above 9.3 a minute.
        self::assertEqualsWithDelta(Ventilation::TWICE_REST, Ventilation::of(1.5, 60 / (8.4 / 1.35)), 1e-9);
        self::assertEqualsWithDelta(6.222, Ventilation::TWICE_REST / 1.35, 0.001);
        self::assertEqualsWithDelta(9.333, Ventilation::THREE_TIMES_REST / 1.35, 0.001);
        $this->expectException(InvalidValue::class);
        Ventilation::of(0.5, 0.0);
    }

    public function test_time_above_a_limit_counts_on_until_a_minute_of_free_breathing(): void
    {
        $fast = ['litres' => 1.5, 'seconds' => 6.0, 'breaths' => 5];   // 13.5 l/min for 30 s
        $slow = ['litres' => 1.5, 'seconds' => 12.0, 'breaths' => 5];  // 6.75 l/min
        $free = fn (float $seconds) => ['litres' => 0.0, 'seconds' => $seconds, 'breaths' => 0];

        self::assertEqualsWithDelta(60.0, (new Ventilation([$fast, $slow, $fast]))->secondsAbove(8.4), 1e-9, 'slow breaths do not break it');
        self::assertEqualsWithDelta(60.0, (new Ventilation([$fast, $free(59.0), $fast]))->secondsAbove(8.4), 1e-9);
        self::assertEqualsWithDelta(30.0, (new Ventilation([$fast, $free(60.0), $fast]))->secondsAbove(8.4), 1e-9);
        self::assertEqualsWithDelta(30.0, (new Ventilation([$fast, $free(30.0), $free(30.0), $fast]))->secondsAbove(8.4), 1e-9, 'two halves of a minute');
        self::assertEqualsWithDelta(60.0, (new Ventilation([$fast, $fast, $free(60.0), $slow]))->secondsAbove(8.4), 1e-9, 'the longest stretch');
        self::assertSame(10, (new Ventilation([$fast]))->then(new Ventilation([$fast]))->breathsAbove(8.0));
        self::assertSame(0, (new Ventilation([$slow]))->breathsAbove(8.0));
        self::assertEqualsWithDelta(13.5, (new Ventilation([$slow, $fast, $free(5.0)]))->most(), 1e-9);
        self::assertSame(0.0, (new Ventilation([]))->most());
        self::assertEqualsWithDelta(0.0, (new Ventilation([['litres' => 1.5, 'seconds' => 60 / (8.4 / 1.35), 'breaths' => 9]]))->secondsAbove(8.4), 1e-9, 'exactly at the limit is not above it');
    }
}
