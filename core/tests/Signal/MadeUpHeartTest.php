<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Beats;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\MadeUpHeart;
use IvoryPace\Signal\SaturationFall;
use PHPUnit\Framework\TestCase;

/** What the stand-in of an oximeter sends is what the analysis finds. */
final class MadeUpHeartTest extends TestCase
{
    public function test_rate_and_swing_are_found_again(): void
    {
        $breathing = new MadeUpBreathing([4.0, 0.0, 6.0, 0.0], 18);
        $beats = Beats::of((new MadeUpHeart($breathing, rate: 66, swing: 14))->beats());
        self::assertEqualsWithDelta(66, $beats->rate(), 1.5);
        $swings = $beats->swings(array_map(fn (array $breath) => [$breath['start'], $breath['start'] + 10], $breathing->truth));
        self::assertCount(15, $swings);
        self::assertEqualsWithDelta(14, array_sum($swings) / count($swings), 2.0);
        self::assertSame(0, $beats->leftOut);
        $missed = Beats::of((new MadeUpHeart($breathing, missed: 20))->beats());
        self::assertEqualsWithDelta(10, $missed->leftOut, 2);
        self::assertSame((new MadeUpHeart($breathing))->beats(), (new MadeUpHeart($breathing))->beats());
    }

    public function test_a_long_hold_lowers_the_saturation_and_a_short_one_does_not(): void
    {
        $breathing = new MadeUpBreathing([2.0, 0.0, 3.0, 0.0], 24, held: [11, 35.0]);
        $from = $breathing->truth[11]['start'] + 5;
        $values = fn (float $fall) => array_map(
            fn (array $each) => [$each[0], $each[1]], (new MadeUpHeart($breathing, fall: $fall))->oximeter(),
        );
        $deep = SaturationFall::of($values(0.4), $from, $from + 35);
        self::assertTrue($deep->fell);
        self::assertEqualsWithDelta(97 - 0.4 * 20, $deep->lowest, 1.0);
        self::assertFalse($deep->isStillLow);
        self::assertFalse(SaturationFall::of($values(0.1), $from, $from + 35)->fell);
        self::assertSame(97.0, SaturationFall::of($values(0.0), $from, $from + 35)->lowest);
        $this->expectException(InvalidValue::class);
        new MadeUpHeart($breathing, rate: 10);
    }
}
