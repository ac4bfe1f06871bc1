<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Recording\RoomRecordings;
use App\Actions\Recording\SayOfTraces;
use App\Actions\Recording\StoreSamples;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Recording;
use App\Models\Sensor;
use App\Pages\Measure\SignalsPage;
use Carbon\CarbonImmutable;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\MadeUpHeart;

/** One patient is measured with two belts and a clip on the finger: a quiet minute, and which pace suits best. */
final class MeasuredAtTheQuay
{
    /** s; the first breath of the quiet minute is the full one to compare the belts by. */
    private const CALIBRATION = 3.0;

    /** By how many beats a minute the made-up heart swings at each pace, in order. */
    private const SWINGS = [7, 10, 16, 14, 9];

    private const LINES = 1500;

    public static function seed(): void
    {
        $patient = Patient::query()->where('name', Promises::patient('step-up-with-recovery'))->with('practitioner')->sole();
        $yesterday = CarbonImmutable::now()->subDay()->setTime(10, 20);
        $belts = self::sensor($patient, 'Belts at the window', $yesterday);
        $clip = self::sensor($patient, 'Clip on the finger', $yesterday);
        AtMoment::do($yesterday, fn () => app(SayOfTraces::class)($patient, true, $yesterday, by: $patient->practitioner));

        $quiet = new MadeUpBreathing([1.9, 0.0, 2.9, 0.4], 13, seed: 7, noiseDb: 24, irregular: 0.04, apart: 38);
        self::recorded(
            $patient, 'quiet', $yesterday, $quiet->end(), ['calibration' => (string) self::CALIBRATION],
            [[$belts, self::breaths($quiet)], [$clip, self::heart(new MadeUpHeart($quiet, rate: 71, swing: 6), 0.0)]],
        );
        // Only those that may be led for this patient.
        $paces = SignalsPage::comparison(Patient::query()->findOrFail($patient->id), $yesterday)->paces;
        [$beats, $played, $end] = self::paces($paces);
        self::recorded($patient, 'pace', $yesterday->addMinutes(6), $end, ['played' => $played], [[$clip, $beats]]);
    }

    private static function sensor(Patient $patient, string $name, CarbonImmutable $at): Sensor
    {
        return Sensor::query()->create([
            'clinic_id' => $patient->clinic_id, 'practitioner_id' => $patient->practitioner_id, 'name' => $name,
            'paired_at' => $at->subDays(3), 'last_seen_at' => $at->addMinutes(30), 'created_at' => $at->subDays(3),
        ]);
    }

    /**
     * @param  array<string, mixed>  $end
     * @param  list<array{Sensor, list<array<string, mixed>>}>  $sent
     */
    private static function recorded(Patient $patient, string $kind, CarbonImmutable $at, float $seconds, array $end, array $sent): void
    {
        $by = Practitioner::query()->findOrFail($patient->practitioner_id);
        $recording = AtMoment::do($at, fn () => app(RoomRecordings::class)->begin($patient, $by, [
            'kind' => $kind, 'position' => 'seated', 'sensors' => array_map(fn (array $each) => $each[0]->id, $sent),
        ], $at));
        $over = $at->addSeconds((int) ceil($seconds));
        AtMoment::do($over, function () use ($recording, $end, $sent, $over) {
            foreach ($sent as [$sensor, $lines]) {
                $batches = array_chunk($lines, self::LINES);
                foreach ($batches as $n => $some) {
                    $batch = implode('', array_map(fn (array $line) => json_encode($line, JSON_THROW_ON_ERROR)."\n", $some));
                    app(StoreSamples::class)->part($sensor, $recording->uuid, $n + 1, $batch, $over);
                }
                app(StoreSamples::class)->done($sensor, $recording->uuid, count($batches), $over);
            }
            app(RoomRecordings::class)->end(Recording::query()->with('patient')->findOrFail($recording->id), $end, $over);
        });
    }

    /** @return list<array<string, mixed>> */
    private static function breaths(MadeUpBreathing $made): array
    {
        return array_map(fn (array $belly, array $chest) => [
            't' => round($belly[0], 3), 'ch' => ['belly' => round($belly[1], 4), 'chest' => round($chest[1] * 0.7, 4)],
        ], $made->belly(), $made->chest());
    }

    /** @return list<array<string, mixed>> */
    private static function heart(MadeUpHeart $heart, float $from): array
    {
        $lines = [
            ...array_map(
                fn (array $each) => ['t' => round($from + $each[0], 3), 'spo2' => (int) $each[1], 'pulse' => (int) $each[2]],
                $heart->oximeter(),
            ),
            ...array_map(fn (array $each) => ['t' => round($from + $each[0], 3), 'rr_ms' => (int) round($each[1])], $heart->beats()),
        ];
        usort($lines, fn (array $one, array $other) => $one['t'] <=> $other['t']);

        return $lines;
    }

    /**
     * @param  list<float>  $paces
     * @return array{list<array<string, mixed>>, list<array{int, int, int, int}>, float} lines, what was led, and s altogether
     */
    private static function paces(array $paces): array
    {
        $lines = $played = [];
        $from = 0.0;
        foreach ($paces as $n => $pace) {
            $length = 60 / $pace;
            $made = new MadeUpBreathing([0.4 * $length, 0.0, 0.6 * $length, 0.0], (int) round(3 * $pace), seed: $n + 2);
            $heart = new MadeUpHeart($made, rate: 70, swing: self::SWINGS[$n], seed: $n + 2);
            $lines = [...$lines, ...self::heart($heart, $from)];
            foreach ($made->truth as $breath) {
                $played[] = [
                    (int) round(1000 * ($from + $breath['start'])), (int) round(400 * $length), (int) round(600 * $length),
                    (int) round(1000 * $length),
                ];
            }
            $from += $made->end();
        }
        usort($lines, fn (array $one, array $other) => $one['t'] <=> $other['t']);

        return [$lines, $played, $from];
    }
}
