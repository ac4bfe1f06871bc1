<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Beats;
use IvoryPace\Signal\BestPace;
use IvoryPace\Signal\MadeUp\Chance;
use IvoryPace\Signal\SaturationFall;
use PHPUnit\Framework\TestCase;

final class HeartTest extends TestCase
{
    /** Worked by hand: intervals 800, 820, 780 … ms. */
    public function test_mean_deviation_and_differences_are_those_of_the_task_force(): void
    {
        $beats = Beats::of(self::beats([800, 820, 780, 800, 840, 800, 760, 800, 820, 780]));
        self::assertSame(0, $beats->leftOut);
        self::assertEqualsWithDelta(75, $beats->rate(), 1e-9);
        // Squares of the distances from 800: 0, 400, 400, 0, 1600, 0, 1600, 0, 400, 400: 4800 over 9.
        self::assertEqualsWithDelta(sqrt(4800 / 9), $beats->sdnn(), 1e-9);
        // Differences 20, 40, 20, 40, 40, 40, 40, 20, 40: 10 800 over 9.
        self::assertEqualsWithDelta(sqrt(10_800 / 9), $beats->rmssd(), 1e-9);
    }

    public function test_a_beat_that_was_missed_or_seen_twice_is_left_out_and_counted(): void
    {
        $intervals = array_fill(0, 40, 800);
        $intervals[10] = 1600;
        $intervals[20] = 400;
        $beats = Beats::of(self::beats($intervals));
        self::assertSame(2, $beats->leftOut);
        self::assertEqualsWithDelta(75, $beats->rate(), 1e-9);
        self::assertSame(0.0, $beats->rmssd());
        foreach ([[NAN], [INF], [1e308], [10], [-800], [3001]] as [$odd]) {
            try {
                Beats::of(self::beats([...array_fill(0, 20, 800), $odd]));
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('200 to 3000 ms', $problem->getMessage());
            }
        }
        $this->expectExceptionMessage('tell too little');
        Beats::of(self::beats(array_fill(0, 9, 800)));
    }

    /** A heart whose rate is 70 ± 6, once up and down in each breath, swings by 12. */
    public function test_the_swing_is_the_highest_minus_the_lowest_within_a_breath(): void
    {
        $beats = self::swinging(10.0, 6.0, 120);
        $breaths = array_map(fn (int $n) => [$n * 10.0, $n * 10.0 + 10], range(0, 11));
        $swings = Beats::of($beats)->swings($breaths);
        // The first half minute is not counted.
        self::assertCount(9, $swings);
        foreach ($swings as $swing) {
            self::assertEqualsWithDelta(12, $swing, 1.2);
        }
        self::assertSame([], Beats::of($beats)->swings([[0.0, 10.0], [40.0, 41.0]]));
    }

    public function test_the_best_pace_has_the_largest_swing_and_says_what_is_as_good(): void
    {
        $chance = new Chance(3);
        $around = fn (float $middle) => array_map(fn () => $middle + $chance->normal(), range(1, 15));
        $best = BestPace::of([[6.5, $around(8.0)], [6.0, $around(11.0)], [5.5, $around(16.0)], [5.0, $around(15.9)], [4.5, $around(10.0)]]);
        self::assertContains($best->best, [5.5, 5.0]);
        self::assertSame([$best->best === 5.5 ? 5.0 : 5.5], $best->asGood);
        self::assertSame([6.5, 6.0, 5.5, 5.0, 4.5], array_column($best->paces, 'pace'));
        $clear = BestPace::of([[6.5, $around(8.0)], [6.0, $around(20.0)], [5.5, $around(9.0)]]);
        self::assertSame([6.0, []], [$clear->best, $clear->asGood]);
        // Median 3, quartiles 2 and 4: 1.57 × 2 / √5.
        $one = BestPace::of([[6.0, [1.0, 2.0, 3.0, 4.0, 5.0]], [5.0, array_fill(0, 5, 9.0)]])->paces[0];
        self::assertEqualsWithDelta(1.57 * 2 / sqrt(5), $one['to'] - 3, 1e-9);
        self::assertEqualsWithDelta(3 - 1.57 * 2 / sqrt(5), $one['from'], 1e-9);
        // A pace of which too little was seen is not compared.
        $this->expectException(InvalidValue::class);
        BestPace::of([[6.5, $around(8.0)], [6.0, [20.0, 21.0]]]);
    }

    public function test_a_fall_of_four_points_for_five_seconds_is_one(): void
    {
        $values = fn (array $during, float $later = 97.0) => [
            ...array_map(fn (int $s) => [(float) $s, 97.0], range(0, 59)),
            ...array_map(fn (int $s) => [60.0 + $s, (float) ($during[$s] ?? 97.0)], range(0, 49)),
            ...array_map(fn (int $s) => [110.0 + $s, $later], range(0, 60)),
        ];
        $of = fn (array $all, ?float $own = null) => SaturationFall::of($all, 60.0, 80.0, $own);
        $four = $of($values(array_fill(10, 4, 93)));
        self::assertSame([97.0, 93.0, 0, 4, false, false], [$four->before, $four->lowest, $four->belowS, $four->fellS, $four->fell, $four->isStillLow]);
        self::assertTrue($of($values(array_fill(10, 5, 93)))->fell);
        self::assertFalse($of($values(array_fill(10, 20, 94)))->fell);
        // It is seen late at a finger: until half a minute after the hold, and no longer.
        self::assertTrue($of($values(array_fill(44, 6, 90)))->fell);
        self::assertFalse($of($values(array_fill(46, 4, 90)))->fell);
        // Below one's own range is another number than at or below 91.
        self::assertSame([6, 0], [$of($values(array_fill(10, 6, 91)))->belowS, $of($values(array_fill(10, 6, 92)))->belowS]);
        self::assertSame([0, 6], [$of($values(array_fill(10, 6, 88)), 88.0)->belowS, $of($values(array_fill(10, 6, 87)), 88.0)->belowS]);
        // One minute later it is a value at rest.
        self::assertTrue($of($values([], 91.0))->isStillLow);
        self::assertFalse($of($values([], 92.0))->isStillLow);
        foreach ([[[60.0, NAN]], [[60.0, 49.0]], [[60.0, 101.0]]] as $bad) {
            try {
                $of($bad);
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('50 to 100', $problem->getMessage());
            }
        }
        $this->expectExceptionMessage('nothing can be compared');
        $of([[100.0, 97.0]]);
    }

    /**
     * @param  list<float|int>  $intervals
     * @return list<array{float, float}>
     */
    private static function beats(array $intervals): array
    {
        $at = 0.0;

        return array_map(function (float|int $interval) use (&$at): array {
            $at += $interval / 1000;

            return [$at, (float) $interval];
        }, $intervals);
    }

    /** @return list<array{float, float}> */
    private static function swinging(float $breath, float $by, float $seconds): array
    {
        $at = 0.0;
        $beats = [];
        while ($at < $seconds) {
            $interval = 60 / (70 + $by * sin(2 * M_PI * $at / $breath));
            $at += $interval;
            $beats[] = [$at, $interval * 1000];
        }

        return $beats;
    }
}
