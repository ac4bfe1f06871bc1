<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\Trace;
use IvoryPace\Signal\TraceCsv;
use PHPUnit\Framework\TestCase;

final class TraceCsvTest extends TestCase
{
    public function test_our_own_tables_are_the_same_bytes_after_out_in_and_out(): void
    {
        $made = new MadeUpBreathing([2.0, 0.0, 3.0, 0.0], 5, seed: 9, noiseDb: 15);
        foreach ([0.0, 0.0137, 41.5] as $later) {
            $there = fn (array $samples) => array_map(
                fn (array $sample) => [$sample[0] + $later, $sample[1]], array_values(array_filter($samples, fn (array $sample) => $sample[0] < 8 || $sample[0] > 9.5)),
            );
            $text = TraceCsv::write(['belly' => Resampling::even($there($made->belly())), 'chest' => Resampling::even($there($made->chest()))]);
            self::assertStringStartsWith("t_s,belly,chest\r\n", $text);
            $again = array_map(Resampling::even(...), TraceCsv::read($text));
            self::assertSame($text, TraceCsv::write($again));
            self::assertCount(1, $again['belly']->gaps);
        }
        self::assertSame("t_s,a\r\n0.000,-1.5\r\n0.040,0\r\n", TraceCsv::write(['a' => Trace::of([-1.5, -0.0000001])]));
    }

    public function test_tables_of_others_are_read(): void
    {
        self::assertSame(['Belt 1' => [[0.0, 1.5], [0.1, 2.0]], 'b' => [[0.1, -3.0]]], TraceCsv::read("\u{FEFF}\"Time (s)\";Belt 1;b\n0;1,5;\n0,1;2;-3\n"));
        self::assertSame(['x' => [[1.0, 5.0]]], TraceCsv::read("x,t\r5,1"));
        self::assertSame(['x' => []], TraceCsv::read("t,x\n"));
    }

    public function test_what_is_no_table_is_refused_with_the_line_and_the_reason(): void
    {
        foreach ([
            'names one column t_s' => '', 'and the channels' => "a,b\n1,2", 'one column' => "t,time,a\n1,2,3",
            'line 3 has 3 columns, and the first 2' => "t,a\n1,2\n1,2,3", 'line 2: “NaN” is no number' => "t,a\n1,NaN", 'line 2: “1e999”' => "t,a\n1,1e999",
            'line 2: “=1+1” is no number' => "t,a\n=1+1,2", 'each by another name' => "t,a,a\n1,2,3", '1 to 20 channels' => "t\n1",
            'it is no text' => "t,a\n1,\xC3\x28", 'larger than 4 MB' => str_repeat("t,a\n1,2", 700_000),
        ] as $words => $text) {
            try {
                TraceCsv::read($text);
                self::fail($words);
            } catch (InvalidValue $problem) {
                self::assertStringContainsString($words, $problem->getMessage());
                self::assertStringEndsWith('Nothing was stored.', $problem->getMessage());
            }
        }
        $this->expectExceptionMessage('recorded together');
        TraceCsv::write(['a' => Trace::of([1.0]), 'b' => Trace::of([1.0, 2.0])]);
    }
}
