<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Calendar;

use DateTimeImmutable;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Weekday;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\AnchorSlot;
use PHPUnit\Framework\TestCase;

final class PatientClockTest extends TestCase
{
    public function test_after_midnight_still_belongs_to_the_evening_before(): void
    {
        $clock = PatientClock::in('Europe/Lisbon');

        self::assertSame('2026-11-24', $clock->dayOf($this->at('2026-11-25 00:20 Europe/Lisbon'))->date);
        self::assertSame('2026-11-24', $clock->dayOf($this->at('2026-11-25 03:59:59 Europe/Lisbon'))->date);
        self::assertSame('2026-11-25', $clock->dayOf($this->at('2026-11-25 04:00 Europe/Lisbon'))->date);
    }

    public function test_a_night_worker_starts_the_day_in_the_afternoon(): void
    {
        $clock = PatientClock::in('Europe/Lisbon', '14:00');

        self::assertSame('2026-11-24', $clock->dayOf($this->at('2026-11-25 13:30 Europe/Lisbon'))->date);
        self::assertSame('2026-11-25', $clock->dayOf($this->at('2026-11-25 14:00 Europe/Lisbon'))->date);
        $slot = $this->slot('07:30', '09:30');
        self::assertEquals($this->at('2026-11-26 07:30 Europe/Lisbon'), $slot->opensAt($clock, PatientDay::of('2026-11-25')));
    }

    public function test_the_patients_zone_decides_not_the_servers(): void
    {
        $instant = $this->at('2026-11-25 12:00 UTC');

        self::assertSame('2026-11-26', PatientClock::in('Pacific/Auckland', '00:00')->dayOf($instant)->date);
        self::assertSame('2026-11-24', PatientClock::in('Pacific/Honolulu', '04:00')->dayOf($instant)->date);
    }

    public function test_days_on_which_the_clocks_change_have_23_and_25_hours(): void
    {
        // European Union: last Sunday of March and of October (directive 2000/84/EC).
        $midnight = PatientClock::in('Europe/Berlin', '00:00');
        self::assertSame(23.0, self::hours($midnight, PatientDay::of('2026-03-29')));
        self::assertSame(25.0, self::hours($midnight, PatientDay::of('2026-10-25')));

        $early = PatientClock::in('Europe/Berlin', '04:00');
        self::assertSame(23.0, self::hours($early, PatientDay::of('2026-03-28')));
        self::assertSame(24.0, self::hours($early, PatientDay::of('2026-03-29')));
        self::assertSame(25.0, self::hours($early, PatientDay::of('2026-10-24')));
    }

    public function test_a_day_start_that_the_clock_skips_loses_no_instant(): void
    {
        $clock = PatientClock::in('Europe/Berlin', '02:30');
        $day = PatientDay::of('2026-03-28');

        self::assertEquals($clock->endsAt($day), $clock->startsAt($day->next()));
        self::assertSame('2026-03-28', $clock->dayOf($this->at('2026-03-29 00:59 UTC'))->date);
        self::assertSame('2026-03-29', $clock->dayOf($this->at('2026-03-29 01:31 UTC'))->date);
    }

    public function test_every_instant_of_a_year_lies_within_its_own_day(): void
    {
        mt_srand(3);
        foreach (['Europe/Lisbon', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu'] as $zone) {
            foreach (['00:00', '01:30', '02:30', '04:00', '14:00'] as $dayStart) {
                $clock = PatientClock::in($zone, $dayStart);
                for ($run = 0; $run < 200; $run++) {
                    $instant = $this->at('2026-01-01 UTC')->modify('+'.mt_rand(0, 365 * 86_400).' seconds');
                    $day = $clock->dayOf($instant);
                    self::assertTrue($clock->startsAt($day) <= $instant && $instant < $clock->endsAt($day), "$zone $dayStart {$instant->format('c')}");
                }
            }
        }
    }

    public function test_windows_across_midnight_and_across_the_day_start(): void
    {
        $clock = PatientClock::in('Europe/Lisbon');
        $day = PatientDay::of('2026-11-24');

        self::assertEquals($this->at('2026-11-24 21:30 Europe/Lisbon'), $this->slot('21:30', '01:30')->opensAt($clock, $day));
        self::assertEquals($this->at('2026-11-25 01:30 Europe/Lisbon'), $this->slot('21:30', '01:30')->closesAt($clock, $day));
        self::assertEquals($this->at('2026-11-25 04:00 Europe/Lisbon'), $this->slot('03:00', '05:00')->closesAt($clock, $day), 'a window ends with its day');
    }

    public function test_days_count_across_months_and_leap_years(): void
    {
        self::assertSame('2028-02-29', PatientDay::of('2028-02-28')->next()->date);
        self::assertSame(366, PatientDay::of('2028-01-01')->daysUntil(PatientDay::of('2029-01-01')));
        self::assertSame(-1, PatientDay::of('2026-03-29')->daysUntil(PatientDay::of('2026-03-28')));
        self::assertSame(Weekday::Wednesday, PatientDay::of('2026-11-25')->weekday());
    }

    public function test_impossible_dates_zones_and_times_are_refused(): void
    {
        $bad = [
            fn () => PatientDay::of('2026-02-30'), fn () => PatientDay::of('25.11.2026'),
            fn () => PatientClock::in('Mars/Base'), fn () => PatientClock::in('UTC', '24:00'), fn () => PatientClock::in('UTC', 'noon'),
        ];
        foreach ($bad as $make) {
            try {
                $make();
                self::fail('taken');
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('write it like', str_replace('choose one', 'write it', $problem->getMessage()));
            }
        }
    }

    private function at(string $text): DateTimeImmutable
    {
        return new DateTimeImmutable($text);
    }

    private function slot(string $from, string $to): AnchorSlot
    {
        return new AnchorSlot(Anchor::LightsOut, ClockTime::parse($from), ClockTime::parse($to), Weekday::cases());
    }

    private static function hours(PatientClock $clock, PatientDay $day): float
    {
        return ($clock->endsAt($day)->getTimestamp() - $clock->startsAt($day)->getTimestamp()) / 3600;
    }
}
