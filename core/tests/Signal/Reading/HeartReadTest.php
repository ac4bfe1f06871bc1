<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal\Reading;

use IvoryPace\Signal\BestPace;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\MadeUpHeart;
use IvoryPace\Signal\Reading\HeartRead;
use IvoryPace\Signal\Reading\PlayedBreath;
use PHPUnit\Framework\TestCase;

final class HeartReadTest extends TestCase
{
    public function test_of_nothing_nothing_is_said(): void
    {
        $read = HeartRead::of([], []);
        self::assertTrue($read->isEmpty());
        self::assertSame(
            ['pulse' => null, 'saturation' => null, 'beats' => null, 'left_out' => null, 'swing' => null, 'best' => null, 'as_good' => [], 'paces' => []],
            $read->details(),
        );
        self::assertTrue(HeartRead::of(['spo2' => array_fill(0, 4, [1.0, 97.0]), 'pulse' => array_fill(0, 4, [1.0, 66.0])], [])->isEmpty(), 'four values are too few');
    }

    public function test_pulse_and_saturation_are_those_in_the_middle(): void
    {
        $values = fn (int ...$all) => array_map(fn (int $value, int $at) => [(float) $at, (float) $value], $all, array_keys($all));
        $read = HeartRead::of(['spo2' => $values(97, 96, 97, 80, 97), 'pulse' => $values(66, 65, 120, 64, 67)], []);
        self::assertSame(97.0, $read->saturation);
        self::assertSame(66.0, $read->pulse);
        self::assertNull($read->beats);
    }

    public function test_without_a_pulse_of_the_device_it_is_that_of_the_beats(): void
    {
        $heart = new MadeUpHeart(new MadeUpBreathing([4, 0, 6, 0], 12), rate: 72, swing: 8);
        $read = HeartRead::of(['rr_ms' => $heart->beats()], []);
        self::assertEqualsWithDelta(72, $read->pulse, 1.5);
        self::assertNull($read->swing, 'nothing was led');
    }

    /** The truth is in how the hearts are made: only one pace swings wider. */
    public function test_the_pace_at_which_the_heart_swings_most_is_found_and_it_is_said_how_sure_that_is(): void
    {
        $read = self::compared([6, 9, 16, 9, 6]);
        self::assertSame(5.5, $read->best?->best);
        self::assertSame([], $read->best->asGood);
        self::assertSame(BestPace::PACES, array_column($read->details()['paces'], 'pace'));

        $alike = self::compared([10, 10, 10, 10, 10]);
        self::assertNotNull($alike->best);
        self::assertNotSame([], $alike->best->asGood, 'where all swing alike none is clearly the best');
    }

    /** @param  list<int>  $swings  by pace, in order */
    private static function compared(array $swings): HeartRead
    {
        $beats = $played = [];
        $from = 0.0;
        foreach (BestPace::PACES as $n => $pace) {
            $length = 60 / $pace;
            $made = new MadeUpBreathing([0.4 * $length, 0, 0.6 * $length, 0], (int) round(3 * $pace), seed: $n + 1);
            foreach ((new MadeUpHeart($made, rate: 68, swing: $swings[$n], seed: $n + 1))->beats() as [$at, $ms]) {
                $beats[] = [$from + $at, $ms];
            }
            foreach ($made->truth as $breath) {
                $played[] = [
                    (int) round(1000 * ($from + $breath['start'])), (int) round(1000 * $breath['inhale']), (int) round(1000 * $breath['exhale']),
                    (int) round(1000 * $length),
                ];
            }
            $from += $made->end();
        }

        return HeartRead::of(['rr_ms' => $beats], PlayedBreath::list($played));
    }
}
