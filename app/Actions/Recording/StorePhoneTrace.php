<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Facts\Sent;
use App\Guard\Nodes\Turn;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Recording;
use App\Models\RecordingKind;
use App\Models\RecordingPart;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\InvalidValue;
use IvoryPace\Practice\Windows;
use IvoryPace\Signal\Reading\PlayedBreath;
use IvoryPace\Signal\Reading\SamplesKept;

/**
 * What a phone on the belly measured comes in parts, in any order and perhaps days later, and a head that says how many there are and
 * which breaths were led. When all of it is there it is read.
 */
final class StorePhoneTrace
{
    public function __construct(private readonly ReadRecording $read)
    {
    }

    /**
     * @param  array<string, mixed>  $body  uuid, number, from_ms, step_ms and x, y, z in mm/s²: the first as it is, then differences
     * @return bool whether it was new
     *
     * @throws ValidationException
     */
    public function part(Device $device, array $body, Sent $sent): bool
    {
        return $this->within($device, (string) $body['uuid'], $sent, function (Recording $recording) use ($body, $sent) {
            $isKnown = $recording->read_at !== null || $recording->samples()->where('number', (int) $body['number'])->exists();
            if ($isKnown) {
                return false;
            }
            $values = self::unpacked($body);
            RecordingPart::query()->create([
                'recording_id' => $recording->id, 'number' => (int) $body['number'], 'lines' => count($values['x']),
                'samples' => RecordingPart::pack($values), 'received_at' => $sent->receivedAt,
            ]);

            return true;
        });
    }

    /**
     * @param  array<string, mixed>  $body  uuid, started_at, parts, inhale_ms, played
     * @return bool whether it was new
     *
     * @throws ValidationException
     */
    public function head(Device $device, array $body, Sent $sent): bool
    {
        $started = $sent->corrected((string) $body['started_at']);
        $isPossible = $started <= $sent->receivedAt->addMinutes(5)
            && $started >= $sent->receivedAt->subDays(Windows::WAITS_AT_MOST_DAYS);
        self::refuseUnless($isPossible, 'started_at', 'felt.traces.when');
        try {
            PlayedBreath::list($body['played'] ?? []);
        } catch (InvalidValue) {
            self::refuseUnless(false, 'played', 'felt.traces.broken');
        }

        return $this->within($device, (string) $body['uuid'], $sent, function (Recording $recording) use ($body, $started) {
            if ($recording->parts !== null) {
                return false;
            }
            $recording->update([
                'parts' => (int) $body['parts'], 'inhale_ms' => (int) $body['inhale_ms'], 'played' => array_values($body['played'] ?? []),
                'started_at' => $started,
            ]);

            return true;
        });
    }

    /** @param  callable(Recording): bool  $change */
    private function within(Device $device, string $uuid, Sent $sent, callable $change): bool
    {
        return DB::transaction(function () use ($device, $uuid, $sent, $change) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($device->patient_id);
            Turn::take($patient->id);
            $recording = Recording::query()->firstWhere('uuid', $uuid) ?? $this->begun($patient, $device, $uuid, $sent);
            self::refuseUnless(
                $recording->patient_id === $patient->id && $recording->kind === RecordingKind::Practice, 'uuid', 'patient.log.someone-else',
            );
            $isNew = $change($recording);
            if ($isNew && $recording->parts !== null && $recording->samples()->count() >= $recording->parts) {
                ($this->read)($recording, $sent->receivedAt);
            }

            return $isNew;
        });
    }

    private function begun(Patient $patient, Device $device, string $uuid, Sent $sent): Recording
    {
        self::refuseUnless(! Recording::areEnough($patient->id, $sent->receivedAt), 'uuid', 'felt.traces.too-many');
        $practice = Practice::withStruck()->where('uuid', $uuid)->where('patient_id', $patient->id)->first();

        return Recording::query()->create([
            'patient_id' => $patient->id, 'uuid' => $uuid, 'device_id' => $device->id, 'practice_id' => $practice?->id,
            'kind' => RecordingKind::Practice, 'source' => 'phone', 'started_at' => $practice->started_at ?? $sent->receivedAt,
            'samples_until' => $sent->receivedAt->addHours(SamplesKept::LATE_HOURS), 'created_at' => $sent->receivedAt,
        ]);
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{x: list<array{float, float}>, y: list<array{float, float}>, z: list<array{float, float}>} s and m/s²
     */
    private static function unpacked(array $body): array
    {
        $axes = ['x' => [], 'y' => [], 'z' => []];
        foreach (array_keys($axes) as $axis) {
            $now = 0;
            foreach (array_values((array) $body[$axis]) as $n => $step) {
                if ($step !== null) {
                    $now += (int) $step;
                    $axes[$axis][] = [((int) $body['from_ms'] + $n * (int) $body['step_ms']) / 1000, $now / 1000];
                }
            }
        }

        return $axes;
    }

    private static function refuseUnless(bool $isRight, string $field, string $message): void
    {
        if (! $isRight) {
            throw ValidationException::withMessages([$field => (string) __($message)]);
        }
    }
}
