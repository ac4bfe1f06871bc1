<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\Trace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ResamplingTest extends TestCase
{
    public function test_a_straight_line_stays_one_at_any_rate(): void
    {
        foreach ([60.0, 50.0, 25.0, 20.0, 17.3] as $rate) {
            $samples = array_map(fn (int $n) => [5 + $n / $rate, 3 * $n / $rate], range(0, (int) (10 * $rate)));
            $trace = Resampling::even($samples);
            self::assertSame(5.0, $trace->startsAt);
            self::assertSame([], $trace->gaps);
            foreach ($trace->values as $n => $value) {
                self::assertEqualsWithDelta(3 * $n / Trace::RATE, $value, 1e-9);
            }
            self::assertEqualsWithDelta(10, $trace->seconds(), 0.1);
        }
    }

    /** Batches come twice, and the later one first. */
    public function test_order_and_repetition_do_not_matter(): void
    {
        $samples = array_map(fn (int $n) => [$n / 25, sin($n / 9)], range(0, 249));
        $even = Resampling::even($samples);
        $mixed = [...array_slice($samples, 120), ...array_slice($samples, 60, 100), ...array_slice($samples, 0, 140)];
        $again = Resampling::even($mixed);
        self::assertSame(count($even->values), count($again->values));
        foreach ($even->values as $n => $value) {
            self::assertEqualsWithDelta($value, $again->values[$n], 1e-12);
        }
        // What has even steps already is left as it is.
        self::assertSame(array_column($samples, 1), $even->values);
    }

    public function test_where_nothing_came_is_a_gap_with_a_straight_line(): void
    {
        $samples = [];
        foreach (range(0, 249) as $n) {
            if ($n <= 50 || $n >= 100) {
                $samples[] = [$n / 25, (float) $n];
            }
        }
        $trace = Resampling::even($samples);
        self::assertSame([[51, 99]], $trace->gaps);
        self::assertEqualsWithDelta(75, $trace->values[75], 1e-9);
        self::assertSame([1.0, 0.0, 0.5], [$trace->missing(51, 99), $trace->missing(0, 50), $trace->missing(50, 51)]);
        self::assertSame(0.0, $trace->missing(10, 9));
        // Half a second is none.
        self::assertSame([], Resampling::even([[0.0, 1.0], [0.5, 2.0], [1.0, 1.0]])->gaps);
    }

    /** @return array<string, array{list<array{float, float}>}> */
    public static function broken(): array
    {
        return [
            'a value too large to be one' => [[[0.0, 1.0], [0.04, 1e308]]],
            'no number' => [[[0.0, 1.0], [0.04, NAN]]],
            'no end' => [[[0.0, 1.0], [INF, 1.0]]],
            'a time too far away' => [[[0.0, 1.0], [1e12, 1.0]]],
            'one alone' => [[[0.0, 1.0]]],
            'nothing' => [[]],
            'more than an hour' => [[[0.0, 1.0], [3601.0, 1.0]]],
        ];
    }

    /** @param  list<array{float, float}>  $samples */
    #[DataProvider('broken')]
    public function test_what_is_no_recording_is_refused_in_words(array $samples): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessageMatches('/recording/');
        Resampling::even($samples);
    }

    public function test_an_empty_or_endless_trace_is_none(): void
    {
        foreach ([[], array_fill(0, 3600 * 25 + 1, 0.0)] as $values) {
            try {
                Trace::of($values);
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('recording', $problem->getMessage());
            }
        }
        self::assertSame(3600.0, Trace::of(array_fill(0, 3600 * 25, 0.0))->seconds());
    }
}
