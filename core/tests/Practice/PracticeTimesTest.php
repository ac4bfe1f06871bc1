<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use DateTimeImmutable;
use DateTimeZone;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Calendar\ZoneChange;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\PracticeTime;
use IvoryPace\Practice\PracticeTimes;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\History;
use IvoryPace\Programme\Version;
use IvoryPace\Programme\WeekPlan;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class PracticeTimesTest extends TestCase
{
    private const DAILY = [Weekday::Monday, Weekday::Tuesday, Weekday::Wednesday, Weekday::Thursday, Weekday::Friday, Weekday::Saturday, Weekday::Sunday];

    public function test_what_repeats_is_what_each_day_asks_for_over_both_changes_of_the_clock(): void
    {
        $random = new Randomizer(new Mt19937(3));
        foreach (['Europe/Lisbon', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kolkata'] as $zone) {
            foreach (['04:00', '14:00', '00:00', '01:30'] as $dayStart) {
                for ($try = 0; $try < 12; $try++) {
                    $clock = PatientClock::in($zone, $dayStart);
                    $history = $this->history($random);
                    $from = PatientDay::of('2026-01-01')->plusDays($random->getInt(0, 330));
                    $until = $from->plusDays($random->getInt(0, 120));
                    $leftOut = $random->getInt(0, 2) === 0 ? ['b'] : [];
                    self::assertSame(
                        $this->dayByDay($history, $clock, $from, $until, $leftOut),
                        $this->repeated((new PracticeTimes($history, $clock))->between($from, $until, $leftOut), $clock->zone),
                        "$zone, day from $dayStart, try $try",
                    );
                }
            }
        }
    }

    public function test_one_that_begins_where_the_clock_skips_it_goes_on_at_its_own_time(): void
    {
        $version = new Version(1, PatientDay::of('2026-03-28'), PatientDay::of('2026-03-29'), [
            'a' => new WeekPlan([new AnchorSlot(Anchor::LightsOut, ClockTime::parse('01:15'), ClockTime::parse('02:45'), self::DAILY)]),
        ]);
        [$time] = (new PracticeTimes(new History([$version]), PatientClock::in('Europe/Lisbon')))->between(PatientDay::of('2026-03-28'), PatientDay::of('2026-04-28'));
        self::assertSame(['2026-03-29 02:15', '2026-03-30 01:15', '01:15'], [$time->first->format('Y-m-d H:i'), $time->last->format('Y-m-d H:i'), $time->opens->toString()]);
    }

    public function test_nights_on_which_a_time_is_skipped_or_comes_twice_are_named(): void
    {
        $odd = function (string $opens, string $zone, string $from): array {
            $version = new Version(1, PatientDay::of($from), PatientDay::of($from)->plusDays(300), [
                'a' => new WeekPlan([new AnchorSlot(Anchor::LightsOut, ClockTime::parse($opens), ClockTime::parse('03:45'), self::DAILY)]),
            ]);
            [$time] = (new PracticeTimes(new History([$version]), PatientClock::in($zone)))->between(PatientDay::of($from), PatientDay::of($from)->plusDays(300));

            return array_map(fn (DateTimeImmutable $at) => $at->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i'), $time->oddNights());
        };
        self::assertSame(['2026-03-29' => '2026-03-29 01:15', '2026-10-25' => '2026-10-25 01:15'], $odd('01:15', 'Europe/Lisbon', '2026-02-01'));
        self::assertSame(['2026-03-29' => '2026-03-29 01:15', '2026-10-25' => '2026-10-25 01:15'], $odd('02:15', 'Europe/Berlin', '2026-02-01'));
        self::assertSame([], $odd('03:15', 'Europe/Berlin', '2026-02-01'));
        self::assertSame(['2026-10-25' => '2026-10-25 01:00'], $odd('02:00', 'Europe/Berlin', '2026-04-01'));
        self::assertSame([], $odd('01:15', 'Asia/Kolkata', '2026-02-01'));
        // Clocks that are changed by half an hour.
        self::assertSame(['2026-04-05' => '2026-04-04 15:15', '2026-10-04' => '2026-10-03 15:45'], $odd('01:45', 'Australia/Lord_Howe', '2026-02-01') + $odd('02:15', 'Australia/Lord_Howe', '2026-02-01'));
    }

    public function test_exercises_that_share_a_habit_are_one_time(): void
    {
        $slot = fn (array $days) => new AnchorSlot(Anchor::LightsOut, ClockTime::parse('21:30'), ClockTime::parse('01:30'), $days);
        $version = new Version(3, PatientDay::of('2026-12-01'), PatientDay::of('2026-12-31'), [
            'a' => new WeekPlan([$slot([Weekday::Monday])]), 'b' => new WeekPlan([$slot([Weekday::Wednesday, Weekday::Monday])]),
        ]);
        $times = (new PracticeTimes(new History([$version]), PatientClock::in('Europe/Lisbon')))->between(PatientDay::of('2026-11-01'), PatientDay::of('2027-11-01'));
        self::assertCount(1, $times);
        self::assertSame([3, 240, 120], [$times[0]->version, $times[0]->minutes, $times[0]->reminderAfter()]);
        self::assertSame([Weekday::Wednesday, Weekday::Monday], $times[0]->weekdays);
        self::assertSame(['2026-12-02 21:30', '2026-12-30 21:30'], [$times[0]->first->format('Y-m-d H:i'), $times[0]->last->format('Y-m-d H:i')]);
    }

    public function test_a_night_worker_wakes_on_the_next_day_of_the_calendar(): void
    {
        $version = new Version(1, PatientDay::of('2026-12-01'), null, [
            'a' => new WeekPlan([new AnchorSlot(Anchor::LightsOut, ClockTime::parse('07:30'), ClockTime::parse('14:30'), [Weekday::Saturday])]),
        ]);
        $times = (new PracticeTimes(new History([$version]), PatientClock::in('Europe/Lisbon', '14:00')))->between(PatientDay::of('2026-12-01'), PatientDay::of('2026-12-31'));
        // The window ends with the patient's day.
        self::assertSame([[Weekday::Sunday], '2026-12-06 07:30', 390], [$times[0]->weekdays, $times[0]->first->format('Y-m-d H:i'), $times[0]->minutes]);
    }

    public function test_nothing_repeats_after_the_end_of_a_version_or_a_programme(): void
    {
        $plan = ['a' => new WeekPlan([new AnchorSlot(Anchor::Lunch, ClockTime::parse('12:00'), ClockTime::parse('13:00'), self::DAILY)])];
        $history = new History([
            new Version(1, PatientDay::of('2026-12-01'), PatientDay::of('2026-12-20'), $plan), new Version(2, PatientDay::of('2026-12-10'), null, $plan),
        ], PatientDay::of('2026-12-14'));
        $times = (new PracticeTimes($history, PatientClock::in('Europe/Lisbon')))->between(PatientDay::of('2026-12-05'), PatientDay::of('2027-12-01'));
        self::assertSame(
            [[1, '12-05', '12-09'], [2, '12-10', '12-14']],
            array_map(fn (PracticeTime $each) => [$each->version, $each->first->format('m-d'), $each->last->format('m-d')], $times),
        );
        self::assertSame([], (new PracticeTimes($history, PatientClock::in('Europe/Lisbon')))->between(PatientDay::of('2026-12-15'), PatientDay::of('2027-12-01')));
    }

    public function test_changes_of_a_zone_are_those_of_the_calendar(): void
    {
        $of = fn (string $zone) => array_map(
            fn (ZoneChange $each) => [$each->at->format('Y-m-d H:i'), $each->from / 3600, $each->to / 3600, $each->isSummer],
            ZoneChange::of(new DateTimeZone($zone), new DateTimeImmutable('2026-01-01 00:00 UTC'), new DateTimeImmutable('2026-12-31 00:00 UTC')),
        );
        // IANA's rules for 2026: Lisbon changes at 01:00 UTC, New York at 02:00 of its own time.
        self::assertEquals([['2026-01-01 00:00', 0, 0, false], ['2026-03-29 01:00', 0, 1, true], ['2026-10-25 01:00', 1, 0, false]], $of('Europe/Lisbon'));
        self::assertEquals([['2026-01-01 00:00', -5, -5, false], ['2026-03-08 07:00', -5, -4, true], ['2026-11-01 06:00', -4, -5, false]], $of('America/New_York'));
        self::assertEquals([['2026-01-01 00:00', 5.5, 5.5, false]], $of('Asia/Kolkata'));
    }

    private function history(Randomizer $random): History
    {
        $begins = PatientDay::of('2026-01-01')->plusDays($random->getInt(0, 60));
        $versions = [];
        foreach (range(1, $random->getInt(1, 4)) as $number) {
            $plans = [];
            foreach (array_slice(['a', 'b', 'c'], 0, $random->getInt(1, 3)) as $lineage) {
                $slots = [];
                foreach ([Anchor::Waking, Anchor::Lunch, Anchor::LightsOut, Anchor::Own] as $anchor) {
                    if ($random->getInt(0, 2) > 0) {
                        [$opens, $closes] = $anchor->usualWindow();
                        $days = array_values(array_filter(self::DAILY, fn () => $random->getInt(0, 2) > 0)) ?: [Weekday::Sunday];
                        $slots[] = new AnchorSlot($anchor, ClockTime::parse($opens), ClockTime::parse($closes), $days, $anchor === Anchor::Own ? 'news' : '');
                    }
                }
                $plans[$lineage] = new WeekPlan($slots ?: [new AnchorSlot(Anchor::Evening, ClockTime::parse('01:15'), ClockTime::parse('02:45'), self::DAILY)]);
            }
            $versions[] = new Version($number, $begins, $random->getInt(0, 3) === 0 ? null : $begins->plusDays($random->getInt(0, 90)), $plans);
            $begins = $begins->plusDays($random->getInt(0, 50));
        }

        return new History($versions, $random->getInt(0, 2) === 0 ? $begins->plusDays(40) : null);
    }

    /**
     * @param  list<string>  $leftOut
     * @return list<string>
     */
    private function dayByDay(History $history, PatientClock $clock, PatientDay $from, PatientDay $until, array $leftOut): array
    {
        $due = new DuePractices($history, $clock);
        $all = [];
        for ($day = $from; ! $day->isAfter($until); $day = $day->next()) {
            foreach ($due->on($day) as $slot) {
                if (! in_array($slot->lineage, $leftOut, true)) {
                    $all[] = $this->line($slot->opensAt, $slot->anchor, $slot->name);
                }
            }
        }

        return $this->eachOnce($all);
    }

    /**
     * @param  list<PracticeTime>  $times
     * @return list<string>
     */
    private function repeated(array $times, DateTimeZone $zone): array
    {
        $all = [];
        foreach ($times as $time) {
            for ($day = $time->first->setTime(12, 0); $day->format('Ymd') <= $time->last->format('Ymd'); $day = $day->modify('+1 day')) {
                if (in_array((int) $day->format('N'), array_column($time->weekdays, 'value'), true)) {
                    $all[] = $this->line(new DateTimeImmutable("{$day->format('Y-m-d')} {$time->opens->toString()}", $zone), $time->anchor, $time->name);
                }
            }
        }

        return $this->eachOnce($all);
    }

    private function line(DateTimeImmutable $at, Anchor $anchor, string $name): string
    {
        return $at->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i')." {$anchor->value} $name";
    }

    /**
     * @param  list<string>  $lines
     * @return list<string>
     */
    private function eachOnce(array $lines): array
    {
        $lines = array_values(array_unique($lines));
        sort($lines);

        return $lines;
    }
}
