<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Edf\EdfChannel;
use IvoryPace\Signal\Edf\EdfFile;
use IvoryPace\Signal\Edf\EdfNote;
use IvoryPace\Signal\Edf\EdfReader;
use IvoryPace\Signal\Edf\EdfWriter;
use IvoryPace\Signal\Edf\Recorded;
use IvoryPace\Signal\MadeUp\Chance;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Steps\Resampling;
use IvoryPace\Signal\Trace;
use PHPUnit\Framework\TestCase;

/** Recordings as EDF+ files: out, in, and out again, and files of others. */
final class EdfTest extends TestCase
{
    public function test_our_own_files_are_the_same_bytes_after_out_in_and_out(): void
    {
        foreach ([[], [12.0, 15.5], [3.0, 3.4]] as $gap) {
            $bytes = EdfWriter::bytes(self::recorded($gap));
            self::assertSame($bytes, EdfWriter::bytes(EdfReader::read($bytes)));
        }
    }

    public function test_what_was_recorded_comes_back_with_its_moments_and_notes(): void
    {
        $file = EdfReader::read(EdfWriter::bytes(self::recorded([])));
        self::assertSame(EdfFile::CONTINUOUS, $file->kind);
        self::assertSame(['belly', 'chest'], array_column($file->channels, 'label'));
        $trace = Resampling::even(self::made()->belly());
        $samples = $file->samples($file->channels[0]);
        foreach ($trace->values as $n => $value) {
            self::assertEqualsWithDelta($n / 25, $samples[$n][0], 1e-9);
            // One whole number is a part in 65,536 of the range.
            self::assertEqualsWithDelta($value, $samples[$n][1], 1e-4);
        }
        self::assertSame([3.0, 4.2, $trace->seconds()], array_map(fn (EdfNote $note) => $note->start(), $file->allNotes()));
        self::assertSame([['Breathe in'], ['Beat'], [Recorded::END]], array_column($file->allNotes(), 'texts'));
        self::assertSame('1', $file->allNotes()[0]->lasts);
    }

    public function test_a_gap_of_a_second_is_one_and_a_shorter_one_is_drawn_over(): void
    {
        $file = EdfReader::read(EdfWriter::bytes(self::recorded([12.0, 15.5])));
        self::assertSame(EdfFile::BROKEN, $file->kind);
        $starts = array_map($file->startOf(...), array_keys($file->onsets));
        self::assertSame(range(0.0, 12.0), array_slice($starts, 0, 13));
        self::assertEqualsWithDelta(15.5, $starts[13], 0.05);
        self::assertEqualsWithDelta(16.5, $starts[14], 0.05);
        self::assertSame(EdfFile::CONTINUOUS, self::recorded([3.0, 3.4])->kind);
        // What comes back has the gap again, but for what filled the record before it.
        $again = Resampling::even($file->samples($file->channels[0]));
        self::assertCount(1, $again->gaps);
    }

    /** Written by hand after the published description: one signal of two samples a record, in three records. */
    public function test_a_plain_file_of_somebody_else_is_read(): void
    {
        $head = str_pad('0', 8).str_pad('MCH-0234567 F 02-MAY-1951 X', 80).str_pad('Startdate 02-MAR-2002 PSG-1234/2002 X X', 80)
            .'02.03.0222.30.00'.str_pad('512', 8).str_pad('', 44).str_pad('3', 8).str_pad('0.5', 8).str_pad('1', 4)
            .str_pad('Resp chest', 16).str_pad('belt', 80).str_pad('mL', 8).str_pad('-100', 8).str_pad('100', 8).str_pad('-1000', 8).str_pad('1000', 8)
            .str_pad('HP:0.1Hz', 80).str_pad('2', 8).str_pad('', 32);
        $file = EdfReader::read($head.pack('v*', 0, 500, 1000, 0x10000 - 1000, 10, 20));
        self::assertSame(['', '22.30.00', 3, []], [$file->kind, $file->time, $file->records(), $file->allNotes()]);
        self::assertSame([0, 500, 1000, -1000, 10, 20], $file->channels[0]->values);
        self::assertEquals([[0.0, 0.0], [0.25, 50.0], [0.5, 100.0], [0.75, -100.0], [1.0, 1.0], [1.25, 2.0]], array_map(
            fn (array $sample) => [$sample[0], round($sample[1], 9)], $file->samples($file->channels[0]),
        ));
        // Not closed properly: as many records as there are.
        $open = substr_replace($head, str_pad('-1', 8), 236, 8).pack('v*', 1, 2, 3, 4, 5);
        self::assertStringContainsString('are 2 bytes more', self::problem($open));
        self::assertSame(2, EdfReader::read(substr($open, 0, -2))->records());
    }

    public function test_a_broken_file_is_refused_with_the_exact_reason(): void
    {
        $good = EdfWriter::bytes(self::recorded([]));
        $with = fn (int $at, string $text) => substr_replace($good, $text, $at, strlen($text));
        foreach ([
            'there are 0' => '',
            'there are 100' => substr($good, 0, 100),
            'BDF' => "\xFF".substr($good, 1),
            'version 0' => '1'.substr($good, 1),
            '“xx”, is no whole number' => $with(252, 'xx  '),
            'it has 0 signals' => $with(252, '0   '),
            'has 1280 bytes' => $with(252, '4   '),
            'cannot last “-1” s' => $with(244, '-1      '),
            'it has no records' => $with(236, '0       '),
            'it ends in record 37 of 99' => $with(236, '99      '),
            'bytes more' => $good.'xx',
            'its lowest whole number, 40000, is not below its highest' => $with(256 + 3 * (16 + 80 + 8 + 8 + 8), '40000   '),
            '1 to 1 au is no range' => $with(256 + 3 * (16 + 80 + 8), '1       '.'1       '.'-1      '.'1       '),
            'signal 1 has no samples' => $with(256 + 3 * (16 + 80 + 8 + 8 + 8 + 8 + 8 + 80), '0       '),
            'no text, at byte 8' => $with(10, "\x00"),
            'record 1 does not say when it starts' => str_replace("+0\x14\x14\x00\x00", "+0\x14x\x14\x00", $good),
            'noted in record 1 cannot be read' => str_replace("+0\x14\x14\x00", "0x\x14\x14\x00", $good),
            'larger than 4 MB' => str_repeat('0', 4_000_001),
        ] as $words => $bytes) {
            self::assertStringContainsString($words, self::problem((string) $bytes));
        }
    }

    /** Whatever is changed in it: it is read, or refused in words. */
    public function test_no_byte_breaks_the_reader(): void
    {
        $good = EdfWriter::bytes(self::recorded([12.0, 15.5]));
        $chance = new Chance(17);
        for ($n = 0; $n < 600; $n++) {
            $at = (int) $chance->between(0, $n < 400 ? 1100 : strlen($good));
            $bytes = substr_replace($good, chr((int) $chance->between(0, 256) & 255), $at, 1);
            try {
                $file = EdfReader::read($bytes);
                self::assertNotSame([], $file->samples($file->channels[0] ?? EdfChannel::of('none', '', [0.0], 1)) ?: [1]);
            } catch (InvalidValue $problem) {
                self::assertStringStartsWith('This EDF file cannot be read: ', $problem->getMessage());
            }
        }
    }

    public function test_values_keep_their_range_in_eight_signs(): void
    {
        foreach ([[-0.001234567, 0.0009], [0.0, 0.0], [123456.789, 123457.1], [-9999999.0, 5.0], [37.0]] as $values) {
            $channel = EdfChannel::of('a', 'mL', $values, 1);
            $range = (float) $channel->physicalMax - (float) $channel->physicalMin;
            self::assertLessThanOrEqual(8, strlen($channel->physicalMin));
            foreach ($channel->physical() as $n => $value) {
                self::assertEqualsWithDelta($values[$n], $value, $range / 65_535);
            }
        }
        foreach ([[NAN], [1e308], [-1e9]] as $bad) {
            try {
                EdfChannel::of('a', 'mL', $bad, 1);
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertNotSame('', $problem->getMessage());
            }
        }
        $this->expectExceptionMessage('no place in an EDF file');
        EdfWriter::bytes(Recorded::file(['belly with a long name' => [Trace::of([1.0, 2.0]), 'mL']], [], '02.12.26', '09.30.00', '02-DEC-2026'));
    }

    private static function problem(string $bytes): string
    {
        try {
            EdfReader::read($bytes);
        } catch (InvalidValue $problem) {
            return $problem->getMessage();
        }

        return 'It was read.';
    }

    private static function made(): MadeUpBreathing
    {
        return new MadeUpBreathing([2.0, 0.0, 3.0, 0.0], 6, seed: 4, noiseDb: 20);
    }

    /** @param  list<float>  $gap  from and to, s */
    private static function recorded(array $gap): EdfFile
    {
        $there = fn (array $samples) => array_values(array_filter($samples, fn (array $sample) => $gap === [] || $sample[0] <= $gap[0] || $sample[0] >= $gap[1]));
        $made = self::made();

        return Recorded::file(
            ['belly' => [Resampling::even($there($made->belly())), 'au'], 'chest' => [Resampling::even($there($made->chest())), 'au']],
            [EdfNote::of(4.2, 'Beat'), EdfNote::of(3.0, 'Breathe in', 1.0)], '02.12.26', '09.30.00', '02-DEC-2026',
        );
    }
}
