<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Calendar;

use DateTimeImmutable;
use IvoryPace\Calendar\Keeping;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class KeepingTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> born, put away, and the day from which it may go: ten years, minors until 25 */
    public static function records(): iterable
    {
        yield 'an adult' => ['1980-05-01', '2016-03-14', '2026-03-14'];
        yield 'on the day of growing up' => ['2000-03-14', '2018-03-14', '2028-03-14'];
        yield 'the day before' => ['2000-03-14', '2018-03-13', '2028-03-13'];
        yield 'a child' => ['2010-06-30', '2016-01-10', '2035-06-30'];
        yield 'almost grown, ten years are longer' => ['2000-01-01', '2017-12-31', '2027-12-31'];
        yield 'put away on the day that comes every four years' => ['1980-05-01', '2016-02-29', '2026-03-01'];
        yield 'born on it' => ['2008-02-29', '2010-01-01', '2033-03-01'];
    }

    #[DataProvider('records')]
    public function test_a_record_may_go_from_its_day(string $born, string $putAway, string $due): void
    {
        self::assertSame($due, Keeping::of(10, 25)->dueOn(PatientDay::of($born), PatientDay::of($putAway))->date);
    }

    public function test_a_minors_record_is_never_gone_before_the_age_nor_anybodys_before_the_years(): void
    {
        mt_srand(31);
        for ($round = 0; $round < 2000; $round++) {
            $born = PatientDay::of('1950-01-01')->plusDays(mt_rand(0, 27000));
            $putAway = $born->plusDays(mt_rand(0, 20000));
            $keeping = Keeping::of(mt_rand(1, 50), mt_rand(18, 50));
            $due = new DateTimeImmutable($keeping->dueOn($born, $putAway)->date);
            // A second way: PHP's own years.
            self::assertGreaterThanOrEqual($keeping->years, (new DateTimeImmutable($putAway->date))->diff($due)->y);
            $age = (new DateTimeImmutable($born->date))->diff(new DateTimeImmutable($putAway->date))->y;
            self::assertTrue($age >= 18 || (new DateTimeImmutable($born->date))->diff($due)->y >= $keeping->untilAge);
        }
    }

    /** @return iterable<string, array{int, int}> */
    public static function wrong(): iterable
    {
        yield 'no years' => [0, 25];
        yield 'too many years' => [51, 25];
        yield 'an age before growing up' => [10, 17];
        yield 'an age that few reach' => [10, 51];
    }

    #[DataProvider('wrong')]
    public function test_what_makes_no_sense_is_refused(int $years, int $age): void
    {
        $this->expectException(InvalidValue::class);
        Keeping::of($years, $age);
    }
}
