<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Signal\Reading;

use DateTimeImmutable;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\Edf\EdfReader;
use IvoryPace\Signal\Edf\EdfWriter;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\MadeUpHeart;
use IvoryPace\Signal\Reading\OnFile;
use IvoryPace\Signal\Reading\PlayedBreath;
use IvoryPace\Signal\Reading\Reading;
use IvoryPace\Signal\TraceCsv;
use PHPUnit\Framework\TestCase;

final class OnFileTest extends TestCase
{
    public function test_what_goes_out_and_comes_in_again_says_the_same_and_goes_out_as_the_same_bytes(): void
    {
        [$values, $played] = self::recorded();
        $bytes = OnFile::edf($values, $played, new DateTimeImmutable('2026-12-02 09:30:15'));
        $file = EdfReader::read($bytes);
        self::assertSame(['Resp belly', 'Resp chest', 'SpO2', 'Pulse'], array_column($file->channels, 'label'));
        self::assertSame(['02.12.26', '09.30.15'], [$file->date, $file->time]);
        self::assertSame($bytes, EdfWriter::bytes($file));

        [$again, $led, $named] = OnFile::read($file);
        self::assertSame(['belly' => 'Resp belly', 'chest' => 'Resp chest', 'spo2' => 'SpO2', 'pulse' => 'Pulse'], $named);
        self::assertEquals($played, PlayedBreath::list($led));
        self::assertSame(array_map(fn (array $beat) => round($beat[1]), $values['rr_ms']), array_column($again['rr_ms'], 1));
        foreach (['belly', 'chest'] as $channel) {
            self::assertSame(count($values[$channel]), count($again[$channel]), 'what fills the last record is left out');
            foreach ($values[$channel] as $n => [$at, $value]) {
                self::assertEqualsWithDelta($at, $again[$channel][$n][0], 1e-6);
                self::assertEqualsWithDelta($value, $again[$channel][$n][1], 2e-4);
            }
        }
        $before = Reading::belts($values['belly'], $values['chest'], $played);
        $after = Reading::belts($again['belly'], $again['chest'], PlayedBreath::list($led));
        self::assertSame($before->details()['each'], $after->details()['each']);
        self::assertEqualsWithDelta($before->rate, $after->rate, 0.001);
        self::assertEqualsWithDelta($before->belts?->angle, $after->belts?->angle, 0.1);
    }

    public function test_a_table_goes_out_in_and_out_as_the_same_bytes(): void
    {
        [$values] = self::recorded();
        $text = OnFile::csv($values);
        $read = TraceCsv::read($text);
        self::assertSame(['belly', 'chest', 'spo2', 'pulse'], array_keys($read));
        self::assertSame($text, OnFile::csv($read));
        foreach ($values['spo2'] as [$at, $value]) {
            self::assertContains([round($at, 2), $value], $read['spo2'], 'a value that is told once a second holds until the next');
        }
    }

    public function test_names_of_others_are_known_and_what_is_not_known_is_named(): void
    {
        self::assertSame(['belly' => 'ABDO RES', 'chest' => 'THOR RES', 'spo2' => 'SaO2'], OnFile::named(['SaO2', 'EEG', 'THOR RES', 'ABDO RES']));
        self::assertEquals(['belly' => 'Airflow', 'pulse' => 'HR'], OnFile::named(['HR', 'Airflow']));
        self::assertSame(['chest' => 'Resp chest'], OnFile::named(['Resp chest', 'EMG']), 'a breath is there already');
        try {
            OnFile::named(['EEG Fpz-Cz', 'EMG']);
            self::fail();
        } catch (InvalidValue $problem) {
            self::assertStringContainsString('EEG Fpz-Cz, EMG', $problem->getMessage());
            self::assertStringContainsString('Nothing was stored', $problem->getMessage());
        }
    }

    public function test_only_heartbeats_or_nothing_can_not_be_saved(): void
    {
        self::assertStringStartsWith('t_s,spo2', OnFile::csv(['spo2' => [[0.0, 97.0], [1.0, 96.0]]]));
        foreach ([[], ['rr_ms' => [[1.0, 800.0]]]] as $values) {
            try {
                OnFile::csv($values);
                self::fail();
            } catch (InvalidValue $problem) {
                self::assertSame('No sample is there to be saved.', $problem->getMessage());
            }
        }
    }

    /** @return array{array<string, list<array{float, float}>>, list<PlayedBreath>} */
    private static function recorded(): array
    {
        $made = new MadeUpBreathing([4, 0, 6, 0], 8, noiseDb: 20, apart: 40);
        $heart = new MadeUpHeart($made);
        $oximeter = $heart->oximeter();

        return [
            [
                'belly' => $made->belly(), 'chest' => $made->chest(), 'rr_ms' => array_values(array_filter($heart->beats(), fn (array $beat) => $beat[0] < $made->end() - 1)),
                'spo2' => array_map(fn (array $each) => [$each[0], $each[1]], $oximeter), 'pulse' => array_map(fn (array $each) => [$each[0], $each[2]], $oximeter),
            ],
            PlayedBreath::list(array_map(
                fn (array $breath) => [(int) round(1000 * $breath['start']), (int) round(1000 * $breath['inhale']), (int) round(1000 * $breath['exhale']), 10_000],
                $made->truth,
            )),
        ];
    }
}
