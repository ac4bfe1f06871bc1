<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\Practice\WeeklyCheck;
use PHPUnit\Framework\TestCase;

final class WeeklyCheckTest extends TestCase
{
    public function test_it_is_asked_for_at_first_and_a_week_after_the_last(): void
    {
        $today = PatientDay::of('2026-11-25');
        self::assertTrue(WeeklyCheck::isDue(null, $today));
        self::assertFalse(WeeklyCheck::isDue(PatientDay::of('2026-11-19'), $today));
        self::assertTrue(WeeklyCheck::isDue(PatientDay::of('2026-11-18'), $today));
    }
}
