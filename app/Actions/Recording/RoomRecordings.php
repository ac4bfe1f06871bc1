<?php

declare(strict_types=1);

namespace App\Actions\Recording;

use App\Facts\Safeguards;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Recording;
use App\Models\RecordingKind;
use App\Models\RecordingSensor;
use App\Models\Sensor;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Fields;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\DeviceStream;
use IvoryPace\Signal\Reading\PlayedBreath;
use IvoryPace\Signal\Reading\SamplesKept;

/** A recording in the room begins and ends: with which devices, of what, and what was led or marked meanwhile. */
final class RoomRecordings
{
    private const MOST_ABOUT = 120;

    private const MARKS = ['calibration', 'hold_from', 'hold_to'];

    public function __construct(private readonly ReadRecording $read)
    {
    }

    /**
     * @param  array<string, mixed>  $input  kind, position, sensors, about
     *
     * @throws ValidationException with messages by field
     */
    public function begin(Patient $patient, Practitioner $by, array $input, CarbonImmutable $now): Recording
    {
        $fields = new Fields($input);
        $kind = $fields->attempt('kind', fn () => $fields->choice(RecordingKind::class, 'kind'));
        $position = $fields->attempt('position', fn () => $fields->choice(Position::class, 'position'));
        $about = $fields->attempt('about', fn () => $fields->shortText('about', self::MOST_ABOUT, 'What is led'));
        if ($kind === null || $position === null || $about === null) {
            throw ValidationException::withMessages($fields->errors());
        }
        self::refuseUnless($kind->isOfTheRoom(), 'kind', 'This is not recorded in the room.');
        $obstacle = $kind === RecordingKind::Pace || $kind === RecordingKind::Hold ? Safeguards::obstacle($patient) : null;
        self::refuseUnless($obstacle === null, 'kind', "{$kind->label()}: not now. $obstacle");
        $wanted = array_slice(array_filter($fields->list('sensors'), fn (mixed $id) => is_int($id)), 0, Sensor::MOST);

        return DB::transaction(function () use ($patient, $by, $kind, $position, $about, $wanted, $now) {
            Patient::query()->whereKey($patient->id)->lockForUpdate()->value('id');
            $sensors = Sensor::pairedIn($patient->clinic_id)->whereKey($wanted)->orderBy('id')->lockForUpdate()->get();
            self::refuseUnless($sensors->isNotEmpty(), 'sensors', 'Choose at least one device that measures.');
            foreach ($sensors as $sensor) {
                self::refuseUnless(
                    ! $this->isTaken($sensor, $now), 'sensors', "“{$sensor->name}” is measuring for another recording. End that one first.",
                );
            }
            self::refuseUnless(! Recording::areEnough($patient->id, $now), 'kind', (string) __('felt.traces.too-many'));
            $recording = Recording::query()->create([
                'patient_id' => $patient->id, 'uuid' => (string) Str::uuid(), 'practitioner_id' => $by->id, 'kind' => $kind,
                'source' => 'room', 'position' => $position->value, 'about' => $about === '' ? null : $about, 'started_at' => $now,
                // What is never read goes all the same.
                'samples_until' => $now->addMinutes(SamplesKept::LONGEST_MINUTES)->addHours(SamplesKept::LATE_HOURS), 'created_at' => $now,
            ]);
            foreach ($sensors as $sensor) {
                RecordingSensor::query()->create(['recording_id' => $recording->id, 'sensor_id' => $sensor->id, 'outside' => 0]);
            }

            return $recording;
        });
    }

    /**
     * @param  array<string, mixed>  $input  played, and marks in s: calibration, hold_from, hold_to
     *
     * @throws ValidationException
     */
    public function end(Recording $recording, array $input, CarbonImmutable $now): Recording
    {
        $fields = new Fields($input);
        try {
            $played = $fields->list('played');
            PlayedBreath::list($played);
        } catch (InvalidValue $problem) {
            throw ValidationException::withMessages(['played' => $problem->getMessage()]);
        }
        $marks = [];
        foreach (self::MARKS as $mark) {
            if ($fields->text($mark) !== '') {
                $marks[$mark] = $fields->attempt($mark, fn () => $fields->numberIn($mark, 0, DeviceStream::LATEST, 's'));
            }
        }
        self::refuseUnless(($marks['hold_to'] ?? INF) >= ($marks['hold_from'] ?? 0), 'hold_to', 'A hold ends after it began.');
        if ($fields->errors() !== []) {
            throw ValidationException::withMessages($fields->errors());
        }

        return DB::transaction(function () use ($recording, $played, $marks, $now) {
            $recording = Recording::query()->lockForUpdate()->findOrFail($recording->id);
            // What ended by itself does not know yet what was led and marked.
            $isNews = $recording->played === null && $recording->marks === null && $recording->samples_until !== null
                && ($played !== [] || $marks !== []);
            if ($recording->ended_at === null || $isNews) {
                $recording->update([
                    'ended_at' => $recording->ended_at ?? $now->min($recording->endsAt()),
                    'played' => $played === [] ? null : array_values($played), 'marks' => $marks === [] ? null : $marks,
                ]);
                ($this->read)($recording, $now);
            }

            return $recording;
        });
    }

    /** A device measures for one recording at a time: nobody's breath ends up in another's. */
    private function isTaken(Sensor $sensor, CarbonImmutable $now): bool
    {
        return RecordingSensor::query()->where('sensor_id', $sensor->id)->with('recording')->orderByDesc('recording_id')->first()
            ?->recording->isOpen($now) === true;
    }

    private static function refuseUnless(bool $isRight, string $field, string $message): void
    {
        if (! $isRight) {
            throw ValidationException::withMessages([$field => $message]);
        }
    }
}
