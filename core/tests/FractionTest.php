<?php

declare(strict_types=1);

namespace IvoryPace\Tests;

use IvoryPace\Fraction;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

final class FractionTest extends TestCase
{
    public function test_sums_are_exact(): void
    {
        $sum = Fraction::zero();
        foreach ([[1, 3], [1, 6], [1, 2], [2, 7], [5, 7]] as [$n, $of]) {
            $sum = $sum->plus(Fraction::of($n, $of));
        }
        self::assertSame([2, 1], [$sum->numerator, $sum->denominator]);
        self::assertSame(0, Fraction::of(8, 10)->compare(Fraction::near(0.8)));
        self::assertTrue(Fraction::of(79_999, 100_000)->isBelow(Fraction::near(0.8)));
        self::assertFalse(Fraction::of(8, 10)->isBelow(Fraction::near(0.8)));
        self::assertSame([1, 5], [Fraction::of(4)->over(20)->numerator, Fraction::of(4)->over(20)->denominator]);
        self::assertSame(1.0, Fraction::of(7, 2)->atMost(Fraction::of(1))->toFloat());
        self::assertSame(0.5, Fraction::of(1, 2)->atMost(Fraction::of(1))->toFloat());
    }

    public function test_where_numbers_would_grow_past_an_integer_it_stays_near(): void
    {
        $sum = Fraction::zero();
        $float = 0.0;
        foreach ([101, 103, 107, 109, 113, 127, 131, 137, 139, 149, 151, 157, 163, 167, 173, 179, 181, 191, 193, 197, 199] as $prime) {
            $sum = $sum->plus(Fraction::of($prime - 1, $prime));
            $float += ($prime - 1) / $prime;
        }
        self::assertEqualsWithDelta($float, $sum->toFloat(), 1e-6);
        self::assertSame(1, Fraction::of(PHP_INT_MAX, 3)->compare(Fraction::of(PHP_INT_MAX - 5000, 3)->over(7)));
    }

    public function test_a_per_cent_never_reads_like_a_mark_on_whose_other_side_it_is(): void
    {
        $mark = Fraction::near(0.8);
        self::assertSame('79.9 %', Fraction::of(7999, 10_000)->percent($mark));
        self::assertSame('80.1 %', Fraction::of(8001, 10_000)->percent($mark));
        self::assertSame('80 %', Fraction::of(8, 10)->percent($mark));
        self::assertSame('79 %', Fraction::of(79, 100)->percent($mark));
        self::assertSame('67 %', Fraction::of(2, 3)->percent());
        self::assertSame('100 %', Fraction::of(1)->percent($mark));
    }

    public function test_a_share_of_nothing_is_none(): void
    {
        foreach ([fn () => Fraction::of(1, 0), fn () => Fraction::of(1, -2), fn () => Fraction::of(1)->over(0)] as $wrong) {
            try {
                $wrong();
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('no share', $problem->getMessage());
            }
        }
    }
}
