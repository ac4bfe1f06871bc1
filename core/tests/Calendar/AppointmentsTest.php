<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Calendar;

use DateTimeImmutable;
use DateTimeZone;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Series;
use IvoryPace\Calendar\Slot;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class AppointmentsTest extends TestCase
{
    public function test_a_series_keeps_the_clock_on_the_wall_over_both_changes(): void
    {
        $starts = fn (string $day, string $time, int $every, int $times) => array_map(
            fn (DateTimeImmutable $at) => $at->format('Y-m-d H:i P'),
            Series::of(PatientDay::of($day), ClockTime::parse($time), $every, $times)->starts(new DateTimeZone('Europe/Lisbon')),
        );
        // Clocks of Lisbon changed on 29 March and on 25 October 2026.
        self::assertSame(
            ['2026-03-16 09:30 +00:00', '2026-03-30 09:30 +01:00', '2026-04-13 09:30 +01:00'], $starts('2026-03-16', '9:30', 2, 3),
        );
        self::assertSame(['2026-10-19 09:30 +01:00', '2026-10-26 09:30 +00:00'], $starts('2026-10-19', '09:30', 1, 2));
        self::assertSame(['2026-03-22 01:30 +00:00', '2026-03-29 02:30 +01:00', '2026-04-05 01:30 +01:00'], $starts('2026-03-22', '01:30', 1, 3));
        self::assertSame(['2027-01-05 23:50 +00:00'], $starts('2027-01-05', '23:50', 12, 1));
    }

    public function test_a_series_has_limits(): void
    {
        foreach ([[0, 1, 'Every 1 to 12 weeks, not every 0.'], [13, 1, 'Every 1 to 12 weeks, not every 13.'], [1, 0, '1 to 26 times, not 0.'], [1, 27, '1 to 26 times, not 27.']] as [$every, $times, $words]) {
            try {
                Series::of(PatientDay::of('2026-03-16'), ClockTime::parse('09:30'), $every, $times);
                self::fail("every {$every} weeks, {$times} times");
            } catch (InvalidValue $problem) {
                self::assertSame($words, $problem->getMessage());
            }
        }
        $most = Series::of(PatientDay::of('2026-03-16'), ClockTime::parse('09:30'), 12, 26)->starts(new DateTimeZone('UTC'));
        self::assertSame([26, '2031-12-15'], [count($most), $most[25]->format('Y-m-d')]);
    }

    public function test_what_follows_a_moved_one_moves_as_the_hands_of_the_clock_do(): void
    {
        $at = fn (string $text) => new DateTimeImmutable($text);
        $lisbon = new DateTimeZone('Europe/Lisbon');
        $follow = fn (string $other, string $moved, string $to) => Series::follow(
            $at($other), $at($moved), $at($to)->setTimezone($lisbon),
        )->format('Y-m-d H:i T');
        self::assertSame('2026-03-31 10:00 WEST', $follow('2026-03-30T08:30Z', '2026-03-16T09:30Z', '2026-03-17T10:00Z'));
        self::assertSame('2026-10-25 08:30 WET', $follow('2026-10-26T09:30Z', '2026-10-19T08:30Z', '2026-10-18T07:30Z'));
        self::assertSame('2026-03-30 09:30 WEST', $follow('2026-03-30T08:30Z', '2026-03-16T09:30Z', '2026-03-16T09:30Z'));
    }

    public function test_two_meet_where_a_minute_belongs_to_both(): void
    {
        $slot = fn (string $time, int $minutes) => Slot::of(new DateTimeImmutable("2026-12-01 {$time} Europe/Lisbon"), $minutes);
        self::assertTrue($slot('09:00', 45)->meets($slot('09:44', 5)));
        self::assertFalse($slot('09:00', 45)->meets($slot('09:45', 5)));
        self::assertTrue($slot('09:00', 5)->meets($slot('08:00', 480)));
        $away = Slot::between(new DateTimeImmutable('2026-12-01 00:00'), new DateTimeImmutable('2026-12-03 00:00'));
        self::assertTrue($away->meets(Slot::of(new DateTimeImmutable('2026-12-02 23:59'), 30)));

        // A second way: minute by minute.
        $random = new Randomizer(new Mt19937(7));
        for ($try = 0; $try < 500; $try++) {
            [$a, $b] = [$random->getInt(0, 200), $random->getInt(0, 200)];
            [$c, $d] = [$random->getInt(5, 90), $random->getInt(5, 90)];
            $one = Slot::of((new DateTimeImmutable)->setTimestamp($a * 60), $c);
            $other = Slot::of((new DateTimeImmutable)->setTimestamp($b * 60), $d);
            $both = array_intersect(range($a, $a + $c - 1), range($b, $b + $d - 1)) !== [];
            self::assertSame([$both, $both], [$one->meets($other), $other->meets($one)], "{$a}+{$c} and {$b}+{$d}");
        }
    }

    public function test_what_is_too_short_too_long_or_ends_before_it_begins_is_refused(): void
    {
        $at = new DateTimeImmutable('2026-12-01 09:00');
        foreach ([4, 481, -30] as $minutes) {
            try {
                Slot::of($at, $minutes);
                self::fail("{$minutes} minutes");
            } catch (InvalidValue $problem) {
                self::assertSame("An appointment takes 5 to 480 minutes, not {$minutes}.", $problem->getMessage());
            }
        }
        self::assertSame('09:05', Slot::of($at, 5)->ends->format('H:i'));
        self::assertSame('17:00', Slot::of($at, 480)->ends->format('H:i'));
        $this->expectExceptionMessage('The end has to come after the beginning.');
        Slot::between($at, $at);
    }

    public function test_kinds_have_usual_lengths(): void
    {
        self::assertSame(
            ['first' => 60, 'review' => 45, 'remote' => 30],
            array_combine(
                array_map(fn (AppointmentKind $kind) => $kind->label(), AppointmentKind::cases()),
                array_map(fn (AppointmentKind $kind) => $kind->usualMinutes(), AppointmentKind::cases()),
            ),
        );
    }
}
