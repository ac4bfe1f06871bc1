<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\DiaryDay;
use PHPUnit\Framework\TestCase;

final class DiaryDayTest extends TestCase
{
    public function test_today_is_in_time_and_three_missed_days_are_late(): void
    {
        $today = PatientDay::of('2026-03-01');
        self::assertFalse(DiaryDay::written($today, $today)->isLate);
        self::assertTrue(DiaryDay::written(PatientDay::of('2026-02-26'), $today)->isLate);
        foreach (['2026-02-25', '2026-03-02'] as $wrong) {
            try {
                DiaryDay::written(PatientDay::of($wrong), $today);
                self::fail("$wrong was taken");
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }
}
