<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Practice;

use DateTimeImmutable;
use DateTimeZone;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Practice\Adherence;
use IvoryPace\Practice\AdherenceResult;
use IvoryPace\Practice\NotToday;
use IvoryPace\Practice\Pause;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Practice\PutOff;
use IvoryPace\Practice\Share;
use IvoryPace\Practice\Stroke;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\AnchorSlot;
use IvoryPace\Programme\History;
use IvoryPace\Programme\Version;
use IvoryPace\Programme\WeekPlan;
use PHPUnit\Framework\TestCase;

/**
 * Adherence against a second calculation that shares no code with the first: plain numbers of minutes since the
 * start, in a zone without clock changes, written from the definition in words.
 */
final class AdherenceBruteForceTest extends TestCase
{
    private const DAY = 1440;

    private const EPOCH = '2026-03-02 00:00:00'; // a Monday

    public function test_thousands_of_random_histories_agree(): void
    {
        mt_srand(20261125);
        for ($run = 0; $run < 4000; $run++) {
            $case = $this->randomCase();
            $expected = $this->byHand($case);
            $result = $this->byCore($case);

            self::assertSame($expected['due'], $result->due, $this->describe($run, $case));
            self::assertEqualsWithDelta($expected['credit'], $result->credit, 1e-9, $this->describe($run, $case));
            self::assertSame($expected['extras'], $result->extras, $this->describe($run, $case));
            self::assertSame($expected['practised'], $result->daysPractised, $this->describe($run, $case));
            self::assertSame($expected['dueDays'], $result->daysDue, $this->describe($run, $case));
            self::assertSame($expected['gap'], $result->longestGap, $this->describe($run, $case));
            self::assertSame($expected['putOff'], count(array_filter(array_merge(...array_column($result->days, 'strokes')), fn (Stroke $stroke) => $stroke === Stroke::PutOff)), $this->describe($run, $case));
            $this->expectAnchors($expected, $case, $run);
        }
    }

    /** @return array<string, mixed> everything in minutes since the epoch, days as numbers since the epoch */
    private function randomCase(): array
    {
        $dayStart = [0, 240, 600, 840][mt_rand(0, 3)];
        $first = mt_rand(0, 4);
        $versions = [];
        $from = $first;
        for ($number = 1, $of = mt_rand(1, 3); $number <= $of; $number++) {
            $slots = [];
            foreach (array_slice([0, 1, 2, 3, 4], 0, mt_rand(0, 4)) as $index) {
                $slots[] = [
                    'from' => mt_rand(0, 1439), 'to' => 0,
                    'days' => array_values(array_filter([1, 2, 3, 4, 5, 6, 7], fn () => mt_rand(0, 2) > 0)) ?: [mt_rand(1, 7)],
                ];
                $slots[$index]['to'] = ($slots[$index]['from'] + mt_rand(30, 300)) % self::DAY;
            }
            $versions[] = ['from' => $from, 'slots' => $slots, 'ends' => mt_rand(0, 5) === 0 ? $from + mt_rand(0, 12) : null];
            $from += mt_rand(0, 8);
        }
        $practices = [];
        for ($n = mt_rand(0, 30); $n > 0; $n--) {
            $practices[] = ['at' => mt_rand(0, 21 * self::DAY), 'done' => mt_rand(0, 14), 'short' => mt_rand(0, 9) === 0, 'stopped' => mt_rand(0, 9) === 0, 'anchor' => [null, 0, 1, 2, 3][mt_rand(0, 4)]];
        }
        $putOffs = [];
        for ($n = mt_rand(0, 6); $n > 0; $n--) {
            $putOffs[] = ['day' => mt_rand(0, 20), 'mine' => mt_rand(0, 3) > 0];
        }
        $pauses = [];
        for ($n = mt_rand(0, 2); $n > 0; $n--) {
            $start = mt_rand(0, 20 * self::DAY);
            $pauses[] = ['from' => $start, 'until' => mt_rand(0, 3) === 0 ? null : $start + mt_rand(0, 4 * self::DAY), 'mine' => mt_rand(0, 2) > 0];
        }

        return [
            'dayStart' => $dayStart, 'versions' => $versions, 'practices' => $practices, 'pauses' => $pauses, 'putOffs' => $putOffs,
            'now' => mt_rand(5 * self::DAY, 22 * self::DAY), 'window' => [mt_rand(0, 6), mt_rand(7, 20)],
        ];
    }

    /**
     * @param  array<string, mixed>  $case
     * @return array{due: int, credit: float, extras: int, practised: int, dueDays: int, gap: int, putOff: int, wholeDue: int, wholeCredit: float}
     */
    private function byHand(array $case): array
    {
        $total = ['due' => 0, 'credit' => 0.0, 'extras' => 0, 'practised' => 0, 'dueDays' => 0, 'gap' => 0, 'putOff' => 0, 'wholeDue' => 0, 'wholeCredit' => 0.0];
        $run = 0;
        for ($day = $case['window'][0]; $day <= $case['window'][1]; $day++) {
            $begins = $day * self::DAY + $case['dayStart'];
            $ends = $begins + self::DAY;
            if ($case['now'] < $begins) {
                break;
            }
            $version = null;
            foreach ($case['versions'] as $each) {
                $version = $each['from'] <= $day ? $each : $version;
            }
            if ($version !== null && $version['ends'] !== null && $version['ends'] < $day) {
                $version = null;
            }
            $planned = $closed = 0;
            foreach ($version['slots'] ?? [] as $slot) {
                if (! in_array($day % 7 + 1, $slot['days'], true)) {
                    continue;
                }
                $planned++;
                $opens = $slot['from'] < $case['dayStart'] ? $slot['from'] + self::DAY : $slot['from'];
                $closes = $slot['to'] < $case['dayStart'] ? $slot['to'] + self::DAY : $slot['to'];
                if ($closes <= $opens) {
                    $closes = $case['dayStart'] + self::DAY;
                }
                $closed += $day * self::DAY + $closes <= $case['now'] ? 1 : 0;
            }
            $times = 0;
            $done = 0.0;
            foreach ($case['practices'] as $practice) {
                if ($practice['at'] >= $begins && $practice['at'] < $ends) {
                    $times++;
                    $done += $practice['short'] || $practice['stopped'] ? 1.0 : min(1.0, $practice['done'] / 12);
                }
            }
            $total['extras'] += max(0, $times - $planned);
            foreach ($case['pauses'] as $pause) {
                if ($pause['mine'] && $pause['from'] < $ends && ($pause['until'] === null || $pause['until'] >= $begins)) {
                    continue 2;
                }
            }
            // What was put off stands for a planned practice that was not done.
            $said = count(array_filter($case['putOffs'], fn (array $putOff) => $putOff['mine'] && $putOff['day'] === $day));
            $total['putOff'] += min($said, max(0, $planned - $times));
            $due = $day === $case['versions'][0]['from'] ? min($closed, $times) : $closed;
            $credit = min($done, $due);
            if ($case['now'] >= $ends) {
                $total['wholeDue'] += $due;
                $total['wholeCredit'] += $credit;
            }
            $total['due'] += $due;
            $total['credit'] += $credit;
            if ($due > 0) {
                $total['dueDays']++;
                $total['practised'] += $credit > 0 ? 1 : 0;
                $run = $credit > 0 ? 0 : $run + 1;
                $total['gap'] = max($total['gap'], $run);
            }
        }

        return $total;
    }

    /** @param  array<string, mixed>  $case */
    private function byCore(array $case): AdherenceResult
    {
        return $this->adherence($case)->ofItem('mine', $this->day($case['window'][0]), $this->day($case['window'][1]));
    }

    /**
     * Anchor by anchor it adds up to the same, over whole days.
     *
     * @param  array<string, mixed>  $expected
     * @param  array<string, mixed>  $case
     */
    private function expectAnchors(array $expected, array $case, int $run): void
    {
        $shares = $this->adherence($case)->byAnchor($this->day($case['window'][0]), $this->day($case['window'][1]));
        self::assertSame($expected['wholeDue'], array_sum(array_map(fn (Share $share) => $share->due, $shares)), $this->describe($run, $case));
        self::assertEqualsWithDelta($expected['wholeCredit'], array_sum(array_map(fn (Share $share) => $share->credit, $shares)), 1e-9, $this->describe($run, $case));
        foreach ($shares as $share) {
            self::assertLessThanOrEqual($share->due + 1e-9, $share->credit);
        }
    }

    /** @param  array<string, mixed>  $case */
    private function adherence(array $case): Adherence
    {
        $clockTime = fn (int $minutes) => ClockTime::parse(sprintf('%02d:%02d', intdiv($minutes, 60), $minutes % 60));
        $versions = [];
        foreach ($case['versions'] as $index => $version) {
            $slots = array_map(fn (array $slot, int $which) => new AnchorSlot(
                Anchor::cases()[$which], $clockTime($slot['from']), $clockTime($slot['to']), array_map(Weekday::from(...), $slot['days']),
            ), $version['slots'], array_keys($version['slots']));
            $versions[] = new Version(
                $index + 1, $this->day($version['from']), $version['ends'] === null ? null : $this->day($version['ends']),
                $slots === [] ? [] : ['mine' => new WeekPlan($slots)],
            );
        }
        $records = array_map(fn (array $practice) => new PracticeRecord(
            'mine', $this->instant($practice['at']), $practice['short'] ? 12 : $practice['done'], 12, $practice['stopped'], $practice['anchor'] === null ? null : Anchor::cases()[$practice['anchor']],
        ), $case['practices']);
        $pauses = array_map(fn (array $pause) => new Pause(
            $pause['mine'] ? (mt_rand(0, 1) === 0 ? ['mine', 'another'] : null) : ['other'], $this->instant($pause['from']),
            $pause['until'] === null ? null : $this->instant($pause['until']),
        ), $case['pauses']);
        $clock = PatientClock::in('UTC', $clockTime($case['dayStart'])->toString());

        $putOffs = array_map(fn (array $said) => new PutOff($said['mine'] ? 'mine' : 'other', $this->day($said['day']), NotToday::Busy), $case['putOffs']);

        return new Adherence(new History($versions), $clock, $records, $pauses, $this->instant($case['now']), $putOffs);
    }

    private function instant(int $minutes): DateTimeImmutable
    {
        return (new DateTimeImmutable(self::EPOCH, new DateTimeZone('UTC')))->modify("+$minutes minutes");
    }

    private function day(int $number): PatientDay
    {
        return PatientDay::of($this->instant($number * self::DAY)->format('Y-m-d'));
    }

    /** @param  array<string, mixed>  $case */
    private function describe(int $run, array $case): string
    {
        return "history $run: ".json_encode($case, JSON_THROW_ON_ERROR);
    }
}
