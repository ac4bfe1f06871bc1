<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Breaths;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MainAxis;
use IvoryPace\Signal\SaturationFall;
use IvoryPace\Signal\Steps\Butterworth;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\Trace;
use IvoryPace\Signal\TwoBelts;
use IvoryPace\Signal\Wav;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Single steps of the analysis, each against what is known of it by itself. */
final class StepsTest extends TestCase
{
    /** A Butterworth filter of second order: 1 / √(1 + (tan πf / tan πc)⁴) after the bilinear transform; the textbook's formula. */
    #[DataProvider('frequencies')]
    public function test_the_filter_passes_each_frequency_as_the_formula_says(float $hz, bool $low): void
    {
        $wave = array_map(fn (int $n) => sin(2 * M_PI * $hz * $n / Trace::RATE), range(0, 1999));
        $out = array_slice($low ? Butterworth::low($wave, 1.0) : Butterworth::high($wave, 1.0), 1000);
        $ratio = tan(M_PI * $hz / Trace::RATE) / tan(M_PI / Trace::RATE);
        $gain = 1 / sqrt(1 + ($low ? $ratio : 1 / $ratio) ** 4);
        self::assertEqualsWithDelta($gain, sqrt(2 * array_sum(array_map(fn (float $value) => $value ** 2, $out)) / count($out)), 1e-3);
    }

    /** @return iterable<string, array{float, bool}> */
    public static function frequencies(): iterable
    {
        foreach ([0.1, 0.5, 1.0, 2.0, 5.0] as $hz) {
            yield "$hz Hz, low" => [$hz, true];
            yield "$hz Hz, high" => [$hz, false];
        }
    }

    public function test_what_never_moves_passes_as_it_is_or_not_at_all(): void
    {
        foreach (Butterworth::low(array_fill(0, 100, 7.5), 1.0) as $value) {
            self::assertEqualsWithDelta(7.5, $value, 1e-9);
        }
        foreach (Butterworth::high(array_fill(0, 100, 7.5), 1.0) as $value) {
            self::assertEqualsWithDelta(0.0, $value, 1e-9);
        }
    }

    public function test_a_phone_that_was_silent_for_a_while_has_a_gap_where_it_was(): void
    {
        $samples = array_values(array_filter(
            array_map(fn (array $each) => [$each[0] + 100, $each[1], $each[2], $each[3]], (new MadeUpBreathing([4, 0, 6, 0], 5))->phone()),
            fn (array $each) => $each[0] < 120 || $each[0] > 123,
        ));
        $trace = MainAxis::of($samples);
        self::assertEqualsWithDelta($samples[0][0], $trace->startsAt, 1e-9);
        self::assertCount(1, $trace->gaps);
        self::assertEqualsWithDelta(120, $trace->at($trace->gaps[0][0]), 0.08);
        self::assertEqualsWithDelta(123, $trace->at($trace->gaps[0][1]), 0.08);
    }

    /** Mean and sample standard deviation of the lengths that were made: a second way to compute it. */
    public function test_the_variation_is_that_of_the_lengths_that_were_made(): void
    {
        $made = new MadeUpBreathing([1.6, 0, 2.4, 0], 9, seed: 4, irregular: 0.15);
        $breaths = Breaths::in(Resampling::even($made->belly()));
        $starts = array_column($made->truth, 'start');
        $lengths = array_map(fn (float $next, float $start) => $next - $start, array_slice($starts, 1), array_slice($starts, 0, -1));
        // The last one that was made has no next.
        $all = [...$lengths, $breaths->all[count($breaths->all) - 1]->length()];
        $mean = array_sum($all) / count($all);
        $expected = sqrt(array_sum(array_map(fn (float $each) => ($each - $mean) ** 2, $all)) / (count($all) - 1)) / $mean;
        self::assertCount(count($all), $breaths->clear());
        self::assertEqualsWithDelta($expected, $breaths->variation(), 0.004);
    }

    public function test_belts_that_begin_at_different_moments_were_not_recorded_together_and_when_does_not_matter(): void
    {
        $made = new MadeUpBreathing([4, 0, 6, 0], 8, apart: 40);
        $at = fn (array $samples, float $later) => Breaths::in(Resampling::even(array_map(fn (array $each) => [$each[0] + $later, $each[1]], $samples)));
        $angle = TwoBelts::of($at($made->belly(), 0), $at($made->chest(), 0))->angle;
        self::assertEqualsWithDelta($angle, TwoBelts::of($at($made->belly(), 300), $at($made->chest(), 300))->angle, 1e-6);
        $this->expectExceptionMessage('not recorded together');
        TwoBelts::of($at($made->belly(), 0), $at($made->chest(), 0.04));
    }

    public function test_the_moment_at_which_a_hold_begins_belongs_to_the_hold(): void
    {
        $values = array_map(fn (int $s) => [(float) $s, $s < 30 ? 97.0 : 90.0], range(0, 200));
        $fall = SaturationFall::of($values, 30.0, 60.0);
        self::assertSame([97.0, 90.0, 60, true], [$fall->before, $fall->lowest, $fall->fellS, $fall->isStillLow]);
        self::assertSame(90.0, $fall->later);
        self::assertNull(SaturationFall::of(array_slice($values, 0, 100), 30.0, 60.0)->later);
        // Half a minute before it, and what is before that does not.
        $early = array_map(fn (int $s) => [(float) $s, $s < 10 ? 80.0 : 97.0], range(0, 80));
        self::assertSame(97.0, SaturationFall::of($early, 40.0, 50.0)->before);
        self::assertSame(88.5, SaturationFall::of([[9.0, 80.0], [11.0, 97.0], [45.0, 97.0]], 39.0, 50.0)->before);
    }

    public function test_what_is_no_wav_file_is_none(): void
    {
        foreach (['', 'RIFF', str_repeat('x', 60), 'RIFF'.pack('V', 40).'WAVX'.str_repeat("\0", 60)] as $bytes) {
            try {
                Wav::read($bytes);
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('WAV', $problem->getMessage());
            }
        }
    }
}
