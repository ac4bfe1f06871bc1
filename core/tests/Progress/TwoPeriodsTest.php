<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\Progress\Evidence;
use IvoryPace\Progress\PeriodSummary;
use IvoryPace\Progress\RatedPractice;
use IvoryPace\Progress\TwoPeriods;
use PHPUnit\Framework\TestCase;

final class TwoPeriodsTest extends TestCase
{
    public function test_both_stand_side_by_side_and_a_change_needs_enough_on_both_sides(): void
    {
        $then = $this->period(array_fill(0, 5, new RatedPractice(6, 5, 5, 'partly', false)), 10, 5.0, ['Tension' => [6, 7, 6, 5], 'Sleep' => [3]]);
        $now = $this->period([...array_fill(0, 7, new RatedPractice(4, 2, 3, 'yes', false)), new RatedPractice(null, null, null, null, true)], 10, 8.0, ['Tension' => [3, 4, 3, 4], 'Sleep' => [5, 5, 5, 5]]);

        self::assertSame([
            ['Practised', '50 %', '80 %', '+30 points'], ['Practices', '5', '8', null], ['Stopped for a symptom', '0', '1', null], ['Effort', '5 (5)', '3 (7)', '−2'],
            ['Smooth', '0 of 5', '7 of 7', '+100 points'], ['Tension before practice', '6 (5)', '4 (7)', '−2'], ['Tension after practice', '5 (5)', '2 (7)', '−3'],
            ['Tension, diary', '6 (4)', '3.5 (4)', '−2.5'], ['Sleep, diary', '3 (1)', '5 (4)', null],
        ], array_map(array_values(...), TwoPeriods::lines($then, $now, 'tension')));
    }

    public function test_a_year_of_gaps_and_no_data_say_nothing_instead_of_zero(): void
    {
        $empty = $this->period([], 0, 0.0, []);
        self::assertSame(['Practices', 'Stopped for a symptom'], array_column(TwoPeriods::lines($empty, $empty, 'tension'), 'what'));
        self::assertSame(['–', '50 %', null], array_slice(array_values(TwoPeriods::lines($empty, $this->period([], 4, 2.0, []), 'tension')[0]), 1));
    }

    /**
     * @param  list<RatedPractice>  $practices
     * @param  array<string, list<int>>  $ratings
     */
    private function period(array $practices, int $due, float $credit, array $ratings): PeriodSummary
    {
        return new PeriodSummary(PatientDay::of('2026-11-01'), PatientDay::of('2026-11-14'), new Evidence($practices, $due, $credit), $ratings);
    }
}
