<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\TwoBelts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Two sines shifted by an angle give that angle. */
final class TwoBeltsTest extends TestCase
{
    /** @return iterable<string, array{float, float, float}> angle, noise, tolerance */
    public static function angles(): iterable
    {
        foreach (range(0, 180, 15) as $angle) {
            yield "{$angle}° without noise" => [(float) $angle, INF, 2.0];
            yield "{$angle}° at 20 dB" => [(float) $angle, 20.0, 5.0];
        }
    }

    #[DataProvider('angles')]
    public function test_the_angle_is_that_between_the_two(float $angle, float $noise, float $within): void
    {
        $belts = self::belts(new MadeUpBreathing([2.5, 0.0, 2.5, 0.0], 24, seed: (int) $angle + 3, noiseDb: $noise, apart: $angle));
        self::assertEqualsWithDelta($angle, $belts->angle, $within);
        self::assertEqualsWithDelta($angle, $belts->loop, $angle >= 70 && $angle <= 110 ? 10.0 : 2 * $within);
    }

    public function test_the_share_is_the_bellys_part_of_both_movements(): void
    {
        $made = new MadeUpBreathing([3.0, 0.0, 4.0, 0.0], 15, noiseDb: 25, chestSize: 0.25);
        self::assertEqualsWithDelta(0.8, self::belts($made)->bellyShare, 0.02);
        // Belts differ: what each showed in the calibration breath is one.
        $belly = Breaths::in(Resampling::even($made->belly()));
        $chest = Breaths::in(Resampling::even($made->chest()));
        self::assertEqualsWithDelta(0.5, TwoBelts::of($belly, $chest, 1.0, 0.25)->bellyShare, 0.02);
        // Where the chest moves more it leads, and the angle is the same.
        $other = self::belts(new MadeUpBreathing([2.5, 0.0, 2.5, 0.0], 24, apart: 60, chestSize: 3.0));
        self::assertEqualsWithDelta(60, $other->angle, 2);
        self::assertEqualsWithDelta(0.25, $other->bellyShare, 0.02);
    }

    public function test_a_belt_that_slips_shows_in_the_share(): void
    {
        $made = new MadeUpBreathing([3.0, 0.0, 4.0, 0.0], 40, noiseDb: 30, slips: 60.0, chestSize: 1.0);
        self::assertGreaterThan(0.75, self::belts($made)->bellyShare);
    }

    public function test_what_does_not_belong_together_is_refused_in_words(): void
    {
        $made = new MadeUpBreathing([3.0, 0.0, 4.0, 0.0], 6);
        $belly = Breaths::in(Resampling::even($made->belly()));
        $shorter = Breaths::in(Resampling::even(array_slice($made->chest(), 0, -30)));
        $flat = Breaths::in(Resampling::even(array_map(fn (array $sample) => [$sample[0], 0.0], $made->chest())));
        foreach ([
            'together' => fn () => TwoBelts::of($belly, $shorter),
            'did not move' => fn () => TwoBelts::of($belly, $flat, 1.0, 0.0),
            'Fewer than three' => fn () => TwoBelts::of($flat, $flat),
        ] as $words => $do) {
            try {
                $do();
                self::fail($words);
            } catch (InvalidValue $problem) {
                self::assertStringContainsString($words, $problem->getMessage());
            }
        }
    }

    private static function belts(MadeUpBreathing $made): TwoBelts
    {
        return TwoBelts::of(Breaths::in(Resampling::even($made->belly())), Breaths::in(Resampling::even($made->chest())));
    }
}
