<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Progress\ThenNow;
use PHPUnit\Framework\TestCase;

final class ThenNowTest extends TestCase
{
    public function test_the_first_and_the_last_week_are_compared_by_their_medians(): void
    {
        // Worked by hand: 8 7 9 6 8 7 8 -> 8; 4 3 5 4 4 9 3 -> 4.
        $compared = ThenNow::of([8, 7, 9, 6, 8, 7, 8, 6, 6, 4, 3, 5, 4, 4, 9, 3]);
        self::assertSame([8.0, 4.0, 7, -1], [$compared?->then, $compared?->now, $compared?->days, $compared?->direction()]);
    }

    public function test_few_days_never_overlap_and_too_few_say_nothing(): void
    {
        self::assertNull(ThenNow::of([5, 5, 5]));
        self::assertNull(ThenNow::of([]));
        $compared = ThenNow::of([6, 4, 9, 2, 2]);
        self::assertSame([5.0, 2.0, 2], [$compared?->then, $compared?->now, $compared?->days]);
    }

    public function test_less_than_two_points_are_about_the_same(): void
    {
        self::assertSame(0, ThenNow::of([5, 5, 6, 6])?->direction());
        self::assertSame(1, ThenNow::of([3, 3, 5, 5])?->direction());
    }
}
