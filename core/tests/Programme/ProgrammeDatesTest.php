<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Programme;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\Programme\ProgrammeDates;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProgrammeDatesTest extends TestCase
{
    /** @return iterable<string, array{string|null, string|null, string}> in force so far, start that was chosen, and from when on it is in force; ordered on 25 November */
    public static function starts(): iterable
    {
        yield 'a first one, today' => [null, null, '2026-11-25'];
        yield 'a first one, on the day that was chosen' => [null, '2026-12-01', '2026-12-01'];
        yield 'a later one, on the next day' => ['2026-11-01', null, '2026-11-26'];
        yield 'a later one cannot choose' => ['2026-11-01', '2026-12-24', '2026-11-26'];
        yield 'on the day of change itself' => ['2026-11-25', null, '2026-11-26'];
        yield 'what is not yet in force is replaced when it would have begun' => ['2026-12-10', null, '2026-12-10'];
    }

    #[DataProvider('starts')]
    public function test_when_it_takes_effect(?string $replaced, ?string $start, string $from): void
    {
        self::assertSame($from, $this->dates($replaced, $start, '2026-12-20')->from->date);
    }

    public function test_weeks_are_whole_and_an_end_may_stay(): void
    {
        $dates = $this->dates(null, null, '2026-12-09');

        self::assertNull($dates->ends);
        self::assertSame(['2026-12-22', '2026-11-25'], [$dates->forWeeks(4)->ends?->date, $dates->until(PatientDay::of('2026-11-25'))->ends?->date]);
        self::assertSame([], $dates->forWeeks(4)->problems());
    }

    /** @return iterable<string, array{string|null, string|null, string, int|null, list<string>}> in force so far, start, review, weeks (null without an end), and the fields that are in the way */
    public static function limits(): iterable
    {
        yield 'yesterday' => [null, '2026-11-24', '2026-12-01', 4, ['starts_on']];
        yield 'the last day on which it may start' => [null, '2027-02-23', '2027-03-01', 4, []];
        yield 'a day too late' => [null, '2027-02-24', '2027-03-01', 4, ['starts_on']];
        yield 'a review on the first day' => [null, null, '2026-11-25', 1, []];
        yield 'a review before it begins' => ['2026-11-01', null, '2026-11-25', 4, ['review_on']];
        yield 'a review on the day after the end' => [null, null, '2026-12-02', 1, []];
        yield 'two days after it' => [null, null, '2026-12-03', 1, ['review_on']];
        yield 'no weeks' => [null, null, '2026-11-25', 0, ['weeks']];
        yield 'without an end, in a year' => [null, null, '2027-11-26', null, []];
        yield 'without an end, later' => [null, null, '2027-11-27', null, ['review_on']];
        yield 'everything at once' => [null, '2026-11-20', '2026-11-19', 0, ['starts_on', 'weeks', 'review_on']];
    }

    /** @param  list<string>  $fields */
    #[DataProvider('limits')]
    public function test_what_is_in_the_way_is_said_by_field(?string $replaced, ?string $start, string $review, ?int $weeks, array $fields): void
    {
        $dates = $this->dates($replaced, $start, $review);
        $problems = ($weeks === null ? $dates : $dates->forWeeks($weeks))->problems();

        self::assertSame($fields, array_keys($problems));
        foreach ($problems as $problem) {
            self::assertStringEndsWith('.', $problem);
        }
    }

    public function test_a_step_keeps_the_review_that_was_set_and_sets_one_anew_where_it_is_over(): void
    {
        $review = fn (string $set, ?string $ends): string => ProgrammeDates::reviewAfterAStep(
            PatientDay::of('2026-11-25'), PatientDay::of($set), $ends === null ? null : PatientDay::of($ends),
        )->date;

        self::assertSame('2026-11-26', $review('2026-11-26', null), 'tomorrow is still ahead');
        self::assertSame('2026-12-09', $review('2026-11-25', null), 'today is over: in two weeks');
        self::assertSame('2026-12-09', $review('2026-10-01', '2026-12-10'));
        self::assertSame('2026-12-09', $review('2026-10-01', '2026-12-09'));
        self::assertSame('2026-12-08', $review('2026-10-01', '2026-12-08'), 'or when the programme ends');
    }

    private function dates(?string $replaced, ?string $start, string $review): ProgrammeDates
    {
        return ProgrammeDates::from(PatientDay::of('2026-11-25'), $replaced === null ? null : PatientDay::of($replaced), $start === null ? null : PatientDay::of($start), PatientDay::of($review));
    }
}
