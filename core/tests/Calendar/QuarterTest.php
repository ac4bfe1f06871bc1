<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Calendar;

use DateTimeImmutable;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Quarter;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;

final class QuarterTest extends TestCase
{
    public function test_every_day_of_eight_years_lies_in_one_quarter_and_they_follow_each_other(): void
    {
        $day = PatientDay::of('2023-01-01');
        for ($number = 0; $number < 8 * 365 + 2; $number++, $day = $day->next()) {
            $quarter = Quarter::containing($day);
            // A second way: PHP's month.
            self::assertSame((int) ceil((int) (new DateTimeImmutable($day->date))->format('n') / 3), $quarter->number);
            self::assertFalse($day->isBefore($quarter->firstDay()) || $day->isAfter($quarter->lastDay()), $day->date);
            self::assertTrue($quarter->previous()->lastDay()->next()->equals($quarter->firstDay()));
            self::assertEquals($quarter, Quarter::read($quarter->key()));
        }
        self::assertSame(['2024-1', 'Jan–Mar 2024', '2024-03-31'], [Quarter::of(2024, 1)->key(), Quarter::of(2024, 1)->label(), Quarter::of(2024, 1)->lastDay()->date]);
        self::assertSame(['2023-4', '2023-12-31'], [Quarter::of(2024, 1)->previous()->key(), Quarter::of(2023, 4)->lastDay()->date]);
    }

    public function test_what_is_none_is_refused(): void
    {
        foreach (['2024-0', '2024-5', '24-1', '2024-1 ', '', "2024-1\n", '0024-1', '2024-01'] as $text) {
            self::assertNull(Quarter::read($text), $text);
        }
        $this->expectException(InvalidValue::class);
        Quarter::of(2024, 5);
    }
}
