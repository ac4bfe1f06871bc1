<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use DateTimeImmutable;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Practice\Adherence;
use IvoryPace\Practice\Pause;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Practice\PutOff;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\History;
use IvoryPace\Programme\Version;
use IvoryPace\Programme\WeekPlan;

/** Small helps to write histories down. */
trait AdherenceFixture
{
    /** @param  list<Weekday>  $days */
    private static function plan(int $times, array $days = []): WeekPlan
    {
        return new WeekPlan(array_map(function (Anchor $anchor) use ($days) {
            [$from, $to] = $anchor->usualWindow();

            return new AnchorSlot($anchor, ClockTime::parse($from), ClockTime::parse($to), $days === [] ? Weekday::cases() : $days);
        }, Anchor::spread($times)));
    }

    /** @param  array<string, WeekPlan>  $plans */
    private static function version(int $number, string $from, array $plans, ?string $ends = null): Version
    {
        return new Version($number, PatientDay::of($from), $ends === null ? null : PatientDay::of($ends), $plans);
    }

    private static function practice(string $at, float $share = 1.0, bool $stopped = false, string $lineage = 'a'): PracticeRecord
    {
        return new PracticeRecord($lineage, new DateTimeImmutable("$at UTC"), $share * 12, 12, $stopped);
    }

    /**
     * @param  list<Version>  $versions
     * @param  list<PracticeRecord>  $records
     * @param  list<Pause>  $pauses
     * @param  list<PutOff>  $putOffs
     */
    private static function adherence(array $versions, array $records, array $pauses = [], string $now = '2027-06-01 12:00', array $putOffs = []): Adherence
    {
        return new Adherence(new History($versions), PatientClock::in('UTC'), $records, $pauses, new DateTimeImmutable("$now UTC"), $putOffs);
    }
}
