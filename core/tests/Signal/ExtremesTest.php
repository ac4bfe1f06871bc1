<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\Signal\Steps\Extremes;
use PHPUnit\Framework\TestCase;

/** Small rows of which scipy's find_peaks says the same. */
final class ExtremesTest extends TestCase
{
    public function test_what_is_a_peak_and_what_is_too_near(): void
    {
        $row = [0.0, 2.0, 0.0, 3.0, 3.0, 3.0, 1.0, 4.0, 0.0, 1.0];
        self::assertSame([1, 4, 7], Extremes::of($row, 1)->peaks(0.0));
        // Both that are nearer than the distance to the highest go, then what is left is asked.
        self::assertSame([1, 7], Extremes::of($row, 4)->peaks(0.0));
        self::assertSame([7], Extremes::of($row, 7)->peaks(0.0));
        // Of two as high the later stays.
        self::assertSame([3], Extremes::of([0.0, 5.0, 0.0, 5.0, 0.0], 3)->peaks(0.0));
        // What rises or falls to the end is none.
        self::assertSame([], Extremes::of([3.0, 2.0, 1.0], 1)->peaks(0.0));
        self::assertSame([], Extremes::of([1.0, 2.0, 2.0], 1)->peaks(0.0));
        self::assertSame([], Extremes::of([], 1)->peaks(0.0));
    }

    public function test_prominence_is_the_height_over_the_higher_saddle(): void
    {
        $row = [0.0, 2.0, 0.0, 3.0, 3.0, 3.0, 1.0, 4.0, 0.0, 1.0];
        // 2 − 0, 3 − 1, 4 − 0.
        self::assertSame([1, 4, 7], Extremes::of($row, 1)->peaks(2.0));
        self::assertSame([7], Extremes::of($row, 1)->peaks(2.5));
        self::assertSame([7], Extremes::of($row, 1)->peaks(4.0));
        self::assertSame([], Extremes::of($row, 1)->peaks(4.1));
    }
}
