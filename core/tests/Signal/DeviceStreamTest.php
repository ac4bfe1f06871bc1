<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\DeviceStream;
use IvoryPace\Signal\MadeUp\Chance;
use PHPUnit\Framework\TestCase;

/** Lines of a device, and of whoever pretends to be one. */
final class DeviceStreamTest extends TestCase
{
    public function test_each_kind_of_line_is_read(): void
    {
        $stream = DeviceStream::read(implode("\n", [
            '{"t":0,"ch":{"belly":0.5,"chest":-2}}', '{"t":0.04,"ch":{"belly":1}}', '{"t":0.04,"acc":[0.1,-0.2,9.8]}',
            '{"t":0.9,"rr_ms":812}', '{"t":1,"spo2":97,"pulse":66}',
        ])."\n");
        self::assertSame([
            'belly' => [[0.0, 0.5], [0.04, 1.0]], 'chest' => [[0.0, -2.0]], 'x' => [[0.04, 0.1]], 'y' => [[0.04, -0.2]], 'z' => [[0.04, 9.8]],
            'rr_ms' => [[0.9, 812.0]], 'spo2' => [[1.0, 97.0]], 'pulse' => [[1.0, 66.0]],
        ], $stream->values);
    }

    public function test_what_is_no_sample_is_refused_in_words(): void
    {
        $good = '{"t":1,"ch":{"belly":0.5}}';
        foreach ([
            'no lines' => '',
            'line 1 is no sample' => 'NaN',
            'line 2 is no sample' => "$good\n\n$good",
            'line 1: belly is a number' => '{"t":1,"ch":{"belly":1e308}}',
            'belly is a number from' => '{"t":1,"ch":{"belly":"0.5"}}',
            'line 1: t is a number from 0 to 7200' => '{"t":-1,"ch":{"belly":1}}',
            't is a number' => '{"ch":{"belly":1}}',
            'line 2: time runs backwards, from 1 to 0.9 s' => "$good\n".'{"t":0.9,"ch":{"belly":0.5}}',
            'holds nothing that is known' => '{"t":1,"heart":5}',
            'acc, x is a number' => '{"t":1,"acc":[1,2]}',
            'acc, z is a number' => '{"t":1,"acc":[1,2,1e9]}',
            'rr_ms is a number from 200 to 3000' => '{"t":1,"rr_ms":20}',
            'spo2 is a number from 50 to 100' => '{"t":1,"spo2":101,"pulse":60}',
            'at most 256000 come at once' => str_repeat("$good\n", 400_000),
            '1 to 5000 come at once' => str_repeat("$good\n", 5001),
            'is no sample like' => '{"t":1,"ch":{"belly":'.str_repeat('1', 500).'}}',
            'line 1 is no sample like' => "{\"t\":1,\"ch\":{\"b\xC3\x28\":1}}",
        ] as $words => $batch) {
            try {
                DeviceStream::read($batch);
                self::fail($words);
            } catch (InvalidValue $problem) {
                self::assertStringContainsString((string) $words, $problem->getMessage());
                self::assertStringStartsWith('These samples were not taken: ', $problem->getMessage());
            }
        }
    }

    public function test_no_line_breaks_the_reader(): void
    {
        $chance = new Chance(5);
        $line = '{"t":1.04,"ch":{"belly":0.5,"chest":0.1},"acc":[1,2,3],"rr_ms":800,"spo2":97,"pulse":66}';
        for ($n = 0; $n < 2000; $n++) {
            $broken = substr_replace($line, chr((int) $chance->between(0, 255)), (int) $chance->between(0, strlen($line)), (int) $chance->between(0, 4));
            try {
                self::assertNotSame([], DeviceStream::read($broken)->values);
            } catch (InvalidValue $problem) {
                self::assertStringContainsString('not taken', $problem->getMessage());
            }
        }
    }
}
