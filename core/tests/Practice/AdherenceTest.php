<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use DateTimeImmutable;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Practice\NotToday;
use IvoryPace\Practice\Pause;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Practice\PutOff;
use IvoryPace\Practice\Stroke;
use PHPUnit\Framework\TestCase;

final class AdherenceTest extends TestCase
{
    use AdherenceFixture;

    /**
     * Worked example (arithmetic): 3 a day for 7 days, done 3, 3, 2, 0, 4, 1.5, 3: credit 15.5 of 21 = 73.8 %,
     * days practised 6 of 7, longest gap 1 day, 1 extra.
     */
    public function test_the_worked_example(): void
    {
        // The week is not the programme's first, whose first day would never be a miss.
        $result = self::adherence([self::version(1, '2026-11-01', ['a' => self::plan(3)])], $this->week(stopped: false))
            ->ofItem('a', PatientDay::of('2026-11-09'), PatientDay::of('2026-11-15'));

        self::assertSame(21, $result->due);
        self::assertSame(15.5, $result->credit);
        self::assertEqualsWithDelta(0.738, (float) $result->share(), 0.0005);
        self::assertSame([6, 7, 1, 1], [$result->daysPractised, $result->daysDue, $result->longestGap, $result->extras]);
    }

    /** The same with the half-way practice stopped for dizziness: 16 of 21 = 76.2 %. */
    public function test_the_worked_example_stopped_safely(): void
    {
        $result = self::adherence([self::version(1, '2026-11-01', ['a' => self::plan(3)])], $this->week(stopped: true))
            ->ofItem('a', PatientDay::of('2026-11-09'), PatientDay::of('2026-11-15'));

        self::assertSame(16.0, $result->credit);
        self::assertEqualsWithDelta(0.762, (float) $result->share(), 0.0005);
        self::assertContains(Stroke::Stopped, $result->days[5]->strokes);
    }

    public function test_each_day_is_measured_against_the_version_in_force(): void
    {
        $versions = [
            self::version(1, '2026-11-01', ['a' => self::plan(3)]),
            self::version(2, '2026-11-11', ['a' => self::plan(1), 'b' => self::plan(2)]),
        ];
        $records = [self::practice('2026-11-10 08:00'), self::practice('2026-11-11 08:00'), self::practice('2026-11-11 22:00', lineage: 'b')];
        $adherence = self::adherence($versions, $records);

        $before = $adherence->ofItem('a', PatientDay::of('2026-11-10'), PatientDay::of('2026-11-10'));
        $after = $adherence->ofItem('a', PatientDay::of('2026-11-11'), PatientDay::of('2026-11-11'));
        $all = $adherence->ofProgramme(PatientDay::of('2026-11-10'), PatientDay::of('2026-11-11'));

        self::assertSame([3, 1.0], [$before->due, $before->credit]);
        self::assertSame([1, 1.0], [$after->due, $after->credit]);
        self::assertSame([6, 3.0], [$all->due, $all->credit]);
    }

    public function test_the_first_day_is_never_a_miss(): void
    {
        $versions = [self::version(1, '2026-11-09', ['a' => self::plan(3)])];
        $nothing = self::adherence($versions, [])->ofItem('a', PatientDay::of('2026-11-09'), PatientDay::of('2026-11-09'));
        $once = self::adherence($versions, [self::practice('2026-11-09 22:00')])->ofItem('a', PatientDay::of('2026-11-09'), PatientDay::of('2026-11-09'));

        self::assertSame([0, 0, null], [$nothing->due, $nothing->daysDue, $nothing->share()]);
        self::assertSame([1, 1.0], [$once->due, $once->credit]);
        self::assertNotContains(Stroke::Missed, $nothing->days[0]->strokes);
    }

    public function test_a_day_with_a_pause_at_any_time_is_left_out_for_that_exercise_only(): void
    {
        $versions = [self::version(1, '2026-11-01', ['a' => self::plan(2), 'b' => self::plan(2)])];
        $pause = new Pause(['a'], new DateTimeImmutable('2026-11-10 23:00 UTC'), new DateTimeImmutable('2026-11-11 05:00 UTC'));
        $adherence = self::adherence($versions, [], [$pause]);
        $due = fn (string $lineage) => array_map(
            fn ($day) => $day->due,
            $adherence->ofItem($lineage, PatientDay::of('2026-11-09'), PatientDay::of('2026-11-12'))->days,
        );

        self::assertSame([2, 0, 0, 2], $due('a'));
        self::assertSame([2, 2, 2, 2], $due('b'));
    }

    public function test_of_today_only_what_was_due_counts_and_an_early_practice_counts_then(): void
    {
        $versions = [self::version(1, '2026-11-01', ['a' => self::plan(3)])];
        $records = [self::practice('2026-11-10 06:00'), self::practice('2026-11-10 06:30')];
        $today = fn (string $time) => self::adherence($versions, $records, now: "2026-11-10 $time")
            ->ofItem('a', PatientDay::of('2026-11-10'), PatientDay::of('2026-11-10'));

        self::assertSame([0, 0.0], [$today('08:59')->due, $today('08:59')->credit]);
        self::assertSame([1, 1.0], [$today('09:00')->due, $today('09:00')->credit]);
        self::assertSame([2, 2.0], [$today('14:00')->due, $today('14:00')->credit]);
        self::assertSame([2, 2.0], [$today('23:59')->due, $today('23:59')->credit]);
        self::assertSame([Stroke::Done, Stroke::Done, Stroke::Open], $today('14:00')->days[0]->strokes);
    }

    public function test_days_after_the_present_one_are_left_out(): void
    {
        $result = self::adherence([self::version(1, '2026-11-01', ['a' => self::plan(1)])], [], now: '2026-11-05 12:00')
            ->ofItem('a', PatientDay::of('2026-11-04'), PatientDay::of('2026-11-30'));

        self::assertCount(2, $result->days);
    }

    public function test_named_weekdays_the_end_and_the_short_version(): void
    {
        $weekdays = [Weekday::Monday, Weekday::Thursday];
        $versions = [self::version(1, '2026-11-01', ['a' => self::plan(1, $weekdays)], ends: '2026-11-12')];
        $short = PracticeRecord::of('a', new DateTimeImmutable('2026-11-09 22:00 UTC'), 4, 4, 40, 40, null, null);
        $result = self::adherence($versions, [$short, self::practice('2026-11-10 22:00')])
            ->ofItem('a', PatientDay::of('2026-11-09'), PatientDay::of('2026-11-22'));

        self::assertSame([2, 1.0, 1], [$result->due, $result->credit, $result->extras]);
    }

    public function test_what_was_put_off_is_not_credited_and_shown_as_such(): void
    {
        $versions = [self::version(1, '2026-11-01', ['a' => self::plan(3)])];
        $said = fn (string $day) => new PutOff('a', PatientDay::of($day), NotToday::Tired);
        $of = fn (array $records, array $putOffs, string $now = '2026-11-20 12:00') => self::adherence($versions, $records, now: $now, putOffs: $putOffs)
            ->ofItem('a', PatientDay::of('2026-11-10'), PatientDay::of('2026-11-10'));

        $result = $of([self::practice('2026-11-10 07:00')], [$said('2026-11-10'), $said('2026-11-11')]);
        self::assertSame([3, 1.0], [$result->due, $result->credit]);
        self::assertSame([Stroke::Done, Stroke::PutOff, Stroke::Missed], $result->days[0]->strokes);
        self::assertSame([Stroke::PutOff, Stroke::PutOff, Stroke::Open], $of([], [$said('2026-11-10'), $said('2026-11-10')], '2026-11-10 09:30')->days[0]->strokes);
        $all = array_fill(0, 3, self::practice('2026-11-10 07:00'));
        self::assertSame([Stroke::Done, Stroke::Done, Stroke::Done], $of($all, [$said('2026-11-10')])->days[0]->strokes, 'done after all');
    }

    public function test_gaps_skip_days_on_which_nothing_was_due(): void
    {
        $versions = [self::version(1, '2026-11-01', ['a' => self::plan(1, [Weekday::Monday, Weekday::Thursday])])];
        $result = self::adherence($versions, [self::practice('2026-11-02 22:00')])
            ->ofItem('a', PatientDay::of('2026-11-02'), PatientDay::of('2026-11-15'));

        self::assertSame([1, 4, 3, 3], [$result->daysPractised, $result->daysDue, $result->longestGap, $result->presentGap]);
    }

    /** @return list<\IvoryPace\Practice\PracticeRecord> */
    private function week(bool $stopped): array
    {
        $records = [];
        foreach (['09' => 3, '10' => 3, '11' => 2, '12' => 0, '13' => 4, '14' => 1, '15' => 3] as $day => $times) {
            for ($time = 0; $time < $times; $time++) {
                $records[] = self::practice(sprintf('2026-11-%s %02d:00', $day, 8 + 3 * $time));
            }
        }
        $records[] = self::practice('2026-11-14 22:00', 0.5, stopped: $stopped);

        return $records;
    }
}
