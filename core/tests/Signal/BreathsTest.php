<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\ObservedBreath;
use IvoryPace\Signal\Steps\Artefacts;
use IvoryPace\Signal\Steps\Drift;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\Steps\Smoothing;
use IvoryPace\Signal\Trace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the analysis sees, against the truth beside made-up breathing. */
final class BreathsTest extends TestCase
{
    public function test_without_noise_every_breath_and_each_of_its_parts_is_found(): void
    {
        $made = new MadeUpBreathing([4.0, 2.0, 6.0, 2.0], 10);
        $breaths = self::of($made)->all;
        self::assertCount(10, $breaths);
        foreach ($made->truth as $n => $true) {
            $seen = $breaths[$n];
            self::assertEqualsWithDelta($true['start'], $seen->start, 0.2, "breath $n");
            self::assertEqualsWithDelta(4, $seen->inhale, 0.25, "breath $n");
            self::assertEqualsWithDelta(2, $seen->hold, 0.4, "breath $n");
            self::assertEqualsWithDelta(6, $seen->exhale, 0.35, "breath $n");
            if ($n < 9) {
                self::assertEqualsWithDelta(14, $seen->length(), 0.3, "breath $n");
                self::assertEqualsWithDelta($breaths[$n + 1]->start, $seen->end(), 1e-9);
            }
            self::assertEqualsWithDelta(1, $seen->amplitude, 0.08);
            self::assertSame([false, true], [$seen->isSigh, $seen->isClear]);
        }
    }

    /** @return iterable<string, array{MadeUpBreathing, float}> */
    public static function paces(): iterable
    {
        foreach ([3.0, 4.5, 6.0, 9.0, 12.0, 15.0, 20.0, 25.0, 30.0] as $rate) {
            foreach ([30.0, 20.0, 10.0] as $noise) {
                $length = 60 / $rate;
                $made = new MadeUpBreathing([0.4 * $length, 0.0, 0.6 * $length, 0.0], (int) max(12, $rate * 2), seed: (int) ($rate * $noise), noiseDb: $noise);
                yield "$rate a minute at $noise dB" => [$made, $rate];
            }
        }
    }

    #[DataProvider('paces')]
    public function test_the_rate_is_right_within_half_a_breath_a_minute(MadeUpBreathing $made, float $rate): void
    {
        $breaths = self::of($made);
        self::assertEqualsWithDelta($rate, $breaths->rate(), 0.5);
        self::assertCount(count($made->truth), $breaths->all);
    }

    public function test_variation_and_ratio_are_those_of_the_truth(): void
    {
        $made = new MadeUpBreathing([3.0, 0.0, 4.5, 0.0], 60, seed: 5, irregular: 0.12, noiseDb: 25);
        $lengths = array_map(fn (array $each) => $each['inhale'] + $each['exhale'], $made->truth);
        $mean = array_sum($lengths) / count($lengths);
        $deviation = sqrt(array_sum(array_map(fn (float $length) => ($length - $mean) ** 2, $lengths)) / (count($lengths) - 1));
        $breaths = self::of($made);
        self::assertEqualsWithDelta($deviation / $mean, $breaths->variation(), 0.015);
        self::assertEqualsWithDelta(1.5, $breaths->ratio(), 0.1);
        self::assertEqualsWithDelta(0, self::of(new MadeUpBreathing([3.0, 0.0, 4.5, 0.0], 30))->variation(), 0.01);
    }

    public function test_a_slow_drift_is_no_breath(): void
    {
        $made = new MadeUpBreathing([2.5, 0.0, 3.5, 0.0], 50, drift: 3.0, noiseDb: 20);
        self::assertCount(50, self::of($made)->all);
        self::assertEqualsWithDelta(10, self::of($made)->rate(), 0.2);
        $flat = Drift::removed(Trace::of(array_map(fn (int $n) => 100 + $n / 500, range(0, 25 * 300))));
        self::assertEqualsWithDelta(0, max(array_map(abs(...), array_slice($flat->values, 25 * 31, 25 * 230))), 1e-9);
    }

    public function test_a_sigh_is_counted_and_is_nothing_else(): void
    {
        $made = new MadeUpBreathing([2.0, 0.0, 3.0, 1.0], 30, noiseDb: 20, sigh: 14);
        $breaths = self::of($made);
        self::assertSame(1, $breaths->sighs());
        self::assertTrue($breaths->all[14]->isSigh);
        self::assertTrue($breaths->all[14]->isClear);
        self::assertSame(0, self::of(new MadeUpBreathing([2.0, 0.0, 3.0, 1.0], 30, noiseDb: 20))->sighs());
    }

    /** @return array<string, array{MadeUpBreathing, float, float}> */
    public static function disturbed(): array
    {
        return [
            'a cough' => [new MadeUpBreathing([2.0, 0.0, 3.0, 1.0], 30, noiseDb: 20, coughs: [50.5]), 50.5, 51.2],
            'speech' => [new MadeUpBreathing([2.0, 0.0, 3.0, 1.0], 30, noiseDb: 20, speech: [[50.0, 62.0]]), 50.0, 62.0],
            'a phone that was moved' => [new MadeUpBreathing([2.0, 0.0, 3.0, 1.0], 30, noiseDb: 20, moves: [90.0]), 89.0, 91.0],
        ];
    }

    #[DataProvider('disturbed')]
    public function test_what_is_no_breathing_is_marked_and_the_rest_is_read(MadeUpBreathing $made, float $from, float $to): void
    {
        $raw = Resampling::even($made->belly());
        $seconds = array_keys(Artefacts::in($raw)->seconds);
        self::assertNotSame([], array_filter($seconds, fn (int $second) => $second >= floor($from) && $second <= $to));
        self::assertSame([], array_filter($seconds, fn (int $second) => $second < $from - 2 || $second > $to + 2));
        $breaths = Breaths::in($raw);
        self::assertEqualsWithDelta(10, $breaths->rate(), 0.2);
        self::assertGreaterThanOrEqual(25, count($breaths->clear()));
        foreach ($breaths->all as $breath) {
            if ($breath->end() < $from - 8 || $breath->start > $to + 8) {
                self::assertTrue($breath->isClear);
            }
        }
    }

    public function test_quiet_breathing_without_noise_is_no_artefact(): void
    {
        foreach ([[1.0, 0.0, 1.0, 0.0], [4.0, 7.0, 8.0, 0.0], [8.0, 0.0, 12.0, 0.0]] as $phases) {
            self::assertSame([], Artefacts::in(Resampling::even((new MadeUpBreathing($phases, 12))->belly()))->seconds);
        }
    }

    public function test_a_breath_held_and_a_gap_are_not_filled_with_breaths(): void
    {
        $held = new MadeUpBreathing([2.0, 0.0, 3.0, 0.0], 20, noiseDb: 25, held: [9, 25.0]);
        $breaths = self::of($held);
        self::assertCount(20, $breaths->all);
        self::assertEqualsWithDelta(25, $breaths->all[9]->rest, 1.0);

        $samples = array_values(array_filter((new MadeUpBreathing([2.0, 0.0, 3.0, 0.0], 20, noiseDb: 25))->belly(), fn (array $sample) => $sample[0] < 40 || $sample[0] > 52));
        $breaths = Breaths::in(Resampling::even($samples));
        self::assertEqualsWithDelta(12, $breaths->rate(), 0.3);
        foreach ($breaths->all as $breath) {
            $isInGap = $breath->start < 50 && $breath->end() > 42;
            self::assertSame(! $isInGap, $breath->isClear, "at {$breath->start}");
        }
    }

    public function test_of_too_little_nothing_is_said(): void
    {
        foreach ([array_fill(0, 500, 1.0), [1.0, 2.0], array_map(fn (int $n) => $n / 100, range(0, 400))] as $values) {
            $breaths = Breaths::in(Trace::of($values));
            self::assertSame([], $breaths->clear());
            try {
                $breaths->rate();
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('Fewer than three breaths', $problem->getMessage());
            }
        }
    }

    /** A cubic goes through unchanged, at the ends too; the table of the paper gives the weights of 25 points as 467, 462, 447 … of 5175. */
    public function test_smoothing_keeps_a_cubic_and_has_the_published_weights(): void
    {
        $cubic = array_map(fn (int $n) => 2 + 0.3 * $n - 0.02 * $n ** 2 + 0.0004 * $n ** 3, range(0, 79));
        foreach (Smoothing::of(Trace::of($cubic))->values as $n => $value) {
            self::assertEqualsWithDelta($cubic[$n], $value, 1e-9);
        }
        $single = array_fill(0, 75, 0.0);
        $single[37] = 5175.0;
        $smooth = Smoothing::of(Trace::of($single))->values;
        foreach ([467, 462, 447, 422, 387, 322 + 20, 287, 222, 147, 62, -33, -138, -253] as $away => $weight) {
            self::assertEqualsWithDelta($weight, $smooth[37 + $away], 1e-9);
            self::assertEqualsWithDelta($weight, $smooth[37 - $away], 1e-9);
        }
        self::assertSame([1.0, 5.0], Smoothing::of(Trace::of([1.0, 5.0]))->values);
    }

    public function test_a_breath_knows_its_length_and_ratio(): void
    {
        $breath = new ObservedBreath(10.0, 4.0, 1.0, 6.0, 2.0, 1.0, false, true);
        self::assertSame([13.0, 23.0, 1.5], [$breath->length(), $breath->end(), $breath->ratio()]);
    }

    private static function of(MadeUpBreathing $made): Breaths
    {
        return Breaths::in(Resampling::even($made->belly()));
    }
}
