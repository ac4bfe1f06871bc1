<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress\Trend;

use IvoryPace\InvalidValue;
use IvoryPace\Progress\Trend\BeforeAfter;
use IvoryPace\Progress\Trend\DaysWithAndWithout;
use IvoryPace\Progress\Trend\KendallTau;
use IvoryPace\Progress\Trend\SymptomTrend;
use IvoryPace\Progress\Trend\TheilSen;
use PHPUnit\Framework\TestCase;

final class TrendTest extends TestCase
{
    /** Values of scipy.stats.theilslopes and kendalltau; reference.py beside this file made them. */
    public function test_slopes_intervals_and_tau_are_those_of_an_outside_library(): void
    {
        /** @var list<array{days: list<int>, values: list<int>, slope: float, intercept: float, low: float, high: float, tau: float|null}> $cases */
        $cases = json_decode((string) file_get_contents(__DIR__.'/reference.json'), true, flags: JSON_THROW_ON_ERROR);
        self::assertGreaterThan(60, count($cases));
        foreach ($cases as $case) {
            $values = array_combine($case['days'], $case['values']);
            $trend = TheilSen::of($values);
            self::assertNotNull($trend);
            foreach (['slope', 'intercept', 'low', 'high'] as $part) {
                self::assertEqualsWithDelta($case[$part], $trend->$part, 1e-9, $part);
            }
            $tau = KendallTau::of($values);
            $case['tau'] === null ? self::assertNull($tau) : self::assertEqualsWithDelta($case['tau'], $tau, 1e-9);
        }
    }

    public function test_with_fewer_than_seven_days_nothing_is_said(): void
    {
        self::assertNull(TheilSen::of([0 => 5, 1 => 4, 2 => 3, 3 => 2, 4 => 1, 5 => 0]));
        self::assertTrue(TheilSen::of([0 => 6, 1 => 5, 2 => 4, 3 => 3, 4 => 2, 5 => 1, 6 => 0])?->isClear());
        self::assertFalse(TheilSen::of(array_fill(0, 9, 4))?->isClear());
        self::assertNull(KendallTau::of([3 => 4]));
        $this->expectException(InvalidValue::class);
        TheilSen::of([NAN, 1, 2, 3, 4, 5, 6]);
    }

    public function test_single_practices_are_summed_up_by_their_median_and_shares(): void
    {
        $effect = BeforeAfter::of([[6, 4], [5, 5], [4, 5], [7, 3]]);
        self::assertSame([-1.0, 0.5, 0.75, 4], [$effect?->median, $effect?->shareImproved, $effect?->shareNotWorse, $effect?->rated]);
        self::assertSame('Breathlessness −1 in the middle of 4 practices; lower after 50 %, higher after 25 %.', $effect?->sentence('breathlessness'));
        self::assertSame('Tension unchanged in the middle of 5 practices; lower after 0 %, higher after 20 %.', BeforeAfter::of([[3, 3], [3, 3], [2, 2], [2, 4], [0, 0]])?->sentence('tension'));
        self::assertSame(['Rated before and after 3 practices only.', 'Rated before and after 1 practice only.'], [BeforeAfter::of([[1, 1], [2, 1], [3, 3]])?->sentence('tension'), BeforeAfter::of([[1, 1]])?->sentence('tension')]);
        self::assertNull(BeforeAfter::of([]));
    }

    public function test_days_with_and_without_practice_are_set_side_by_side_as_an_association(): void
    {
        $ratings = [];
        for ($day = 1; $day <= 12; $day++) {
            $ratings[sprintf('2026-11-%02d', $day)] = $day <= 7 ? 3 : 5;
        }
        $sides = DaysWithAndWithout::of($ratings, array_slice(array_keys($ratings), 0, 7));
        self::assertSame([3.0, 7, 5.0, 5], [$sides?->with, $sides?->daysWith, $sides?->without, $sides?->daysWithout]);
        self::assertStringContainsString('does not say that one makes the other', (string) $sides?->sentence());
        self::assertNull(DaysWithAndWithout::of($ratings, array_keys($ratings)));
    }

    public function test_a_trend_is_said_with_its_numbers_or_that_it_is_too_early(): void
    {
        self::assertSame('Too early: 3 of 7 rated days.', SymptomTrend::sentence([0 => 5, 1 => 4, 2 => 3]));
        self::assertSame('Falling: −7 points a week (95 % interval −7 to −7; tau −1), from 8 rated days.', SymptomTrend::sentence(range(8, 1)));
        self::assertSame('Rising: +7 points a week (95 % interval +7 to +7; tau +1), from 8 rated days.', SymptomTrend::sentence(range(1, 8)));
        self::assertSame('Falling: −0.7 points a week (95 % interval −0.7 to −0.7; tau −1), from 57 rated days.', SymptomTrend::sentence(array_map(fn (int $day) => 9 - $day * 0.1, range(0, 56))), 'eight weeks are told by the week');
        self::assertStringStartsWith('Falling: −3 points a month', SymptomTrend::sentence(array_map(fn (int $day) => 9 - $day * 0.1, range(0, 57))));
        self::assertStringStartsWith('Falling: −0.6 points a month (95 % interval −0.6 to −0.6', SymptomTrend::sentence(array_map(fn (int $day) => 8 - $day * 0.02, range(0, 300))));
        self::assertSame('No clear direction: 0 points a week (95 % interval 0 to 0), from 9 rated days.', SymptomTrend::sentence(array_fill(0, 9, 4)));
    }
}
