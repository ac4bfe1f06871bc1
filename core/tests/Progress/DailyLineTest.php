<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\Progress\DailyLine;
use PHPUnit\Framework\TestCase;

final class DailyLineTest extends TestCase
{
    public function test_several_ratings_of_a_day_count_by_their_median_and_a_day_without_stays_empty(): void
    {
        $ratings = [['2026-11-01', 9], ['2026-11-02', 4], ['2026-11-02', 7], ['2026-11-04', 0]];

        self::assertSame([5.5, null, 0.0], DailyLine::of($ratings, PatientDay::of('2026-11-02'), PatientDay::of('2026-11-04')));
        self::assertSame([], DailyLine::of($ratings, PatientDay::of('2026-11-04'), PatientDay::of('2026-11-02')));
    }
}
