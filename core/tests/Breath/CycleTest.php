<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Breath;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Breath\CountLength;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Fitting;
use IvoryPace\Breath\Phase;
use IvoryPace\InvalidValue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Check values of pattern arithmetic; each follows from its phases by arithmetic alone. */
final class CycleTest extends TestCase
{
    /** @return iterable<array{string, float, float, float, float, array<int, float>}> */
    public static function values(): iterable
    {
        // Pattern, cycle s, breaths a minute, x of 1:x, quiet share, seconds by number of breaths.
        yield ['4:7:8', 19, 3.158, 2, 0.789, [4 => 76, 8 => 152]];
        yield ['4:4:4:4', 16, 3.75, 1, 0.75, [5 => 80]];
        yield ['5:5:5:5', 20, 3, 1, 0.75, [5 => 100]];
        yield ['4:0:5:1', 10, 6, 1.25, 0.6, [12 => 120]];
        yield ['5:8', 13, 4.615, 1.6, 0.615, [6 => 78, 10 => 130]];
        yield ['2:4', 6, 10, 2, 0.667, [10 => 60]];
        yield ['2+1:6', 9, 6.667, 2, 0.667, [33 => 297]];
    }

    /** @param  array<int, float>  $lengths */
    #[DataProvider('values')]
    public function test_cycle_rate_and_shares(string $ratio, float $cycle, float $rate, float $toInhale, float $quiet, array $lengths): void
    {
        $breath = Cycle::of(BreathPattern::parse($ratio));

        self::assertEqualsWithDelta($cycle, $breath->seconds(), 1e-9);
        self::assertEqualsWithDelta($rate, $breath->rate(), 0.0005);
        self::assertEqualsWithDelta($toInhale, $breath->exhaleToInhale(), 1e-9);
        self::assertEqualsWithDelta($quiet, $breath->quietShare(), 0.0005);
        self::assertEqualsWithDelta(1 - $quiet, $breath->dutyCycle(), 0.0005);
        foreach ($lengths as $breaths => $seconds) {
            self::assertEqualsWithDelta($seconds, $breath->secondsFor($breaths), 1e-9);
        }
    }

    public function test_thirty_three_double_inhales_are_the_most_that_fit_in_five_minutes(): void
    {
        self::assertSame(33, Cycle::of(BreathPattern::parse('2+1:6'))->breathsIn(300));
    }

    public function test_a_time_of_exactly_n_breaths_holds_n_at_any_count_length(): void
    {
        foreach ([0.4, 0.7, 0.9, 1.1, 1.3, 1.7, 2.0] as $count) {
            $cycle = Cycle::of(BreathPattern::parse('4:0:5:1'), CountLength::seconds($count));
            for ($breaths = 0; $breaths < 200; $breaths++) {
                self::assertSame($breaths, $cycle->breathsIn($cycle->secondsFor($breaths)));
                self::assertSame($breaths, $cycle->breathsIn($cycle->secondsFor($breaths) + $cycle->seconds() * 0.999));
            }
        }
    }

    public function test_soft_pauses_do_not_scale_with_the_count(): void
    {
        $pattern = BreathPattern::parse('3:3')->withSoftPauses(2, 2);

        self::assertSame(10.0, Cycle::of($pattern)->seconds());
        self::assertSame(7.0, Cycle::of($pattern, CountLength::seconds(0.5))->seconds());
    }

    public function test_478_fitted_to_a_hold_of_five_seconds(): void
    {
        $fit = Fitting::toLimits(BreathPattern::parse('4:7:8'), new ComfortableLimits(inhale: 6, hold: 5, exhale: 9));

        self::assertEqualsWithDelta(5 / 7, $fit->countSeconds, 1e-12);
        self::assertSame(Phase::Hold, $fit->limiting);
        self::assertTrue($fit->suits());
        self::assertEqualsWithDelta(13.571, $fit->cycle()->seconds(), 0.0005);
        self::assertEqualsWithDelta(4.421, $fit->cycle()->rate(), 0.0005);
        self::assertEqualsWithDelta(54.29, $fit->cycle()->secondsFor(4), 0.005);
        self::assertEqualsWithDelta(0.789, $fit->cycle()->quietShare(), 0.0005);
    }

    public function test_a_ratio_that_would_need_very_short_counts_does_not_suit(): void
    {
        self::assertFalse(Fitting::toLimits(BreathPattern::parse('4:7:8'), new ComfortableLimits(hold: 4))->suits());
    }

    public function test_when_it_does_not_suit_the_nearest_possible_ratio_is_offered(): void
    {
        $fit = Fitting::toLimits(BreathPattern::parse('4:7:8'), new ComfortableLimits(hold: 3));
        self::assertFalse($fit->suits());
        self::assertSame(Phase::Hold, $fit->limiting);
        self::assertSame('4:5:8', $fit->nearest?->toString());
        self::assertTrue(Fitting::toLimits($fit->nearest, new ComfortableLimits(hold: 3))->suits());

        self::assertSame('4:8', Fitting::nearestPossible(BreathPattern::parse('4:7:8'), new ComfortableLimits(hold: 0.5))?->toString(), 'a hold may go');
        self::assertNull(Fitting::nearestPossible(BreathPattern::parse('4:8'), new ComfortableLimits(exhale: 0.5)), 'an exhale may not');
        self::assertSame('2:6', Fitting::nearestPossible(BreathPattern::parse('2+2:6'), new ComfortableLimits(inhale: 1.5))?->toString());
    }

    public function test_a_limit_of_nothing_is_refused(): void
    {
        $this->expectExceptionMessage('A comfortable hold of 0 s is outside 0 to 120 s.');
        new ComfortableLimits(hold: 0);
    }

    public function test_a_rate_out_of_reach_says_why_and_offers_the_nearest(): void
    {
        $pattern = BreathPattern::parse('4:7:8');
        $slow = Fitting::toPlayableRate($pattern, 1);
        self::assertSame(2.0, $slow->countSeconds);
        self::assertEqualsWithDelta(60 / 38, $slow->rate, 1e-9);
        self::assertStringContainsString('would need counts of 3.16 s; 2 s is the longest', (string) $slow->reason);
        self::assertStringContainsString('0.4 s is the shortest', (string) Fitting::toPlayableRate($pattern, 20)->reason);
        self::assertNull(Fitting::toPlayableRate($pattern, 4)->reason);
    }

    public function test_minutes_hold_whole_breaths_only(): void
    {
        self::assertSame(33, Fitting::toMinutes(Cycle::of(BreathPattern::parse('2+1:6')), 5), '33 × 9 s = 297 s');
        $this->expectExceptionMessage('One breath takes 38 s; not even one fits into 0.5 min.');
        Fitting::toMinutes(Cycle::of(BreathPattern::parse('4:7:8'), CountLength::seconds(2)), 0.5);
    }

    public function test_a_goal_is_reached_in_so_many_weeks_by_equal_shares(): void
    {
        $rates = Fitting::stepsOverWeeks(16, 6, 4);
        self::assertCount(5, $rates);
        self::assertSame([16.0, 6.0], [$rates[0], $rates[4]]);
        self::assertEqualsWithDelta($rates[1] / $rates[0], $rates[3] / $rates[2], 1e-12);
        foreach ([[16, 6, 0], [16, 6, 53], [6, 16, 4], [16, 0, 4]] as [$from, $to, $weeks]) {
            try {
                Fitting::stepsOverWeeks($from, $to, $weeks);
                self::fail('such steps were taken');
            } catch (InvalidValue) {
                $this->addToAssertionCount(1);
            }
        }
    }

    public function test_without_limits_fitting_asks_for_them(): void
    {
        $this->expectException(InvalidValue::class);
        Fitting::toLimits(BreathPattern::parse('4:8'), new ComfortableLimits(hold: 5));
    }

    public function test_fits_to_a_rate(): void
    {
        $pattern = BreathPattern::parse('4:6');
        $count = Fitting::toRate($pattern, 6);

        self::assertEqualsWithDelta(6, Cycle::of($pattern, CountLength::seconds($count))->rate(), 1e-9);
    }

    public function test_nearest_whole_counts_are_the_best_of_all_that_have_the_sum(): void
    {
        mt_srand(7);
        for ($run = 0; $run < 80; $run++) {
            $wanted = [mt_rand(50, 600) / 100, mt_rand(0, 400) / 100, mt_rand(50, 900) / 100, mt_rand(0, 300) / 100];
            $sum = (int) round(array_sum($wanted));
            if ($sum < 2) {
                continue;
            }
            $found = Fitting::nearestWholeCounts($wanted[0], $wanted[1], $wanted[2], $wanted[3], CountLength::standard());
            $counts = [$found->inhale->toFloat(), $found->hold->toFloat(), $found->exhale->toFloat(), $found->rest->toFloat()];
            self::assertEqualsWithDelta($sum, array_sum($counts), 1e-9);
            $error = fn (array $of) => array_sum(array_map(fn ($a, $b) => ($a - $b) ** 2, $of, $wanted));
            for ($in = 1; $in <= $sum; $in++) {
                for ($hold = 0; $hold <= $sum - $in; $hold++) {
                    for ($out = 1; $out <= $sum - $in - $hold; $out++) {
                        $other = [$in, $hold, $out, $sum - $in - $hold - $out];
                        self::assertTrue(
                            $error($counts) < $error($other) + 1e-9,
                            json_encode([$wanted, $counts, $other], JSON_THROW_ON_ERROR),
                        );
                        if (abs($error($counts) - $error($other)) < 1e-9) {
                            self::assertGreaterThanOrEqual($out, $counts[2], 'ties go to the longer exhale');
                        }
                    }
                }
            }
        }
    }

    public function test_count_lengths_outside_the_range_are_refused(): void
    {
        foreach ([0.39, 2.01, 0.0, -1.0, INF, NAN] as $seconds) {
            try {
                CountLength::seconds($seconds);
                self::fail("$seconds s was taken");
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('0.4 to 2.0', $problem->getMessage());
            }
        }
    }
}
