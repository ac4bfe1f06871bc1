<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Guard\Nodes\Turn;
use App\Models\Recording;
use App\Models\RecordingKind;
use App\Models\RecordingPart;
use App\Models\RecordingSensor;
use App\Models\Sensor;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\DeviceStream;
use IvoryPace\Signal\Reading\SamplesKept;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * Batches of a device of the room, in any order, twice, or two days late: only for the recording it was asked for, and of them only
 * what was measured while that went on.
 */
final class StoreSamples
{
    /** Of one device for one recording: four times what a belt makes in half an hour. */
    private const MOST_LINES = 200_000;

    /** s by which a device's clock may run ahead. */
    private const AHEAD_S = 1.0;

    public function __construct(private readonly ReadRecording $read)
    {
    }

    public function openOf(Sensor $sensor, CarbonImmutable $now): ?RecordingSensor
    {
        $latest = RecordingSensor::query()->where('sensor_id', $sensor->id)->orderByDesc('recording_id')->with('recording')->first();

        return $latest?->recording->isOpen($now) === true ? $latest : null;
    }

    /**
     * @return array{known: bool, taken: int, outside: int} samples, and those that did not belong to the recording
     *
     * @throws ValidationException with what is wrong in the batch
     */
    public function part(Sensor $sensor, string $uuid, int $number, string $batch, CarbonImmutable $now): array
    {
        return DB::transaction(function () use ($sensor, $uuid, $number, $batch, $now) {
            $of = $this->of($sensor, $uuid, $now);
            $recording = $of->recording;
            $parts = RecordingPart::query()->where('recording_id', $recording->id)->where('sender', $sensor->id);
            if ((clone $parts)->where('number', $number)->exists()) {
                return ['known' => true, 'taken' => 0, 'outside' => 0];
            }
            self::refuseUnless(
                $number >= 1 && $number <= SamplesKept::MOST_PARTS,
                'a batch has a number from 1 to '.SamplesKept::MOST_PARTS,
            );
            try {
                $values = DeviceStream::read($batch)->values;
            } catch (InvalidValue $problem) {
                throw ValidationException::withMessages(['samples' => $problem->getMessage()]);
            }
            [$inside, $taken, $outside] = self::within($values, self::secondsOf($recording, $now));
            self::refuseUnless(
                (int) (clone $parts)->sum('lines') + $taken <= self::MOST_LINES,
                'there are more than '.self::MOST_LINES.' of them for one recording',
            );
            RecordingPart::query()->create([
                'recording_id' => $recording->id, 'sender' => $sensor->id, 'number' => $number, 'lines' => $taken,
                'samples' => RecordingPart::pack($inside), 'received_at' => $now,
            ]);
            if ($outside > 0) {
                $of->increment('outside', $outside);
            }
            $this->readAgain($recording, $now);

            return ['known' => false, 'taken' => $taken, 'outside' => $outside];
        });
    }

    public function done(Sensor $sensor, string $uuid, int $parts, CarbonImmutable $now): void
    {
        DB::transaction(function () use ($sensor, $uuid, $parts, $now) {
            $of = $this->of($sensor, $uuid, $now);
            $of->update(['parts' => $parts]);
            $this->readAgain($of->recording, $now);
        });
    }

    /** What came after it was read changes what it says, once all of it is there. */
    private function readAgain(Recording $recording, CarbonImmutable $now): void
    {
        if ($recording->read_at !== null && $recording->samples_until !== null && ReadRecording::isWhole($recording)) {
            ($this->read)($recording, $now);
        }
    }

    /** @throws HttpException when this device may not send to it, or no longer */
    private function of(Sensor $sensor, string $uuid, CarbonImmutable $now): RecordingSensor
    {
        $recording = Recording::query()->where('uuid', $uuid)->where('kind', '!=', RecordingKind::Practice)->lockForUpdate()->first();
        $of = $recording === null ? null
            : RecordingSensor::query()->where('recording_id', $recording->id)->where('sensor_id', $sensor->id)->first();
        if ($recording === null || $of === null) {
            throw new HttpException(403, 'Nothing was taken: this device was not asked to measure for that recording.');
        }
        if ($now > $recording->endsAt()->addHours(SamplesKept::LATE_HOURS)) {
            throw new HttpException(410, 'Nothing was taken: the recording ended more than '.SamplesKept::LATE_HOURS.' hours ago.');
        }
        if ($recording->samples_gone_at !== null) {
            throw new HttpException(410, 'Nothing was taken: the samples of this recording have been removed.');
        }

        Turn::take($recording->patient_id);

        return $of->setRelation('recording', $recording);
    }

    /** How long it has lasted, or lasted, in s. */
    private static function secondsOf(Recording $recording, CarbonImmutable $now): float
    {
        $end = $recording->ended_at ?? $now->min($recording->endsAt());

        return $recording->started_at->diffInMilliseconds($end) / 1000 + ($recording->ended_at === null ? self::AHEAD_S : 0.0);
    }

    /**
     * @param  array<string, list<array{float, float}>>  $values  s and value, by channel
     * @return array{array<string, list<array{float, float}>>, int, int} what belongs to it, how many, and how many do not
     */
    private static function within(array $values, float $seconds): array
    {
        $inside = [];
        $all = 0;
        foreach ($values as $channel => $samples) {
            $all += count($samples);
            $inside[$channel] = array_values(array_filter($samples, fn (array $sample) => $sample[0] <= $seconds));
        }
        $taken = array_sum(array_map(count(...), $inside));

        return [array_filter($inside), $taken, $all - $taken];
    }

    private static function refuseUnless(bool $isRight, string $why): void
    {
        if (! $isRight) {
            throw ValidationException::withMessages(['samples' => "These samples were not taken: $why."]);
        }
    }
}
