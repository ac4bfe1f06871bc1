<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use IvoryPace\Progress\Felt;
use IvoryPace\Signal\Reading\SamplesKept;

/**
 * What a phone, belts or an oximeter measured. Its numbers stay; its samples, the parts, only as long as the patient agrees to,
 * and never longer than {@see SamplesKept::DAYS}.
 *
 * @property int $id
 * @property string $patient_id
 * @property string $uuid of a practice the practice's own
 * @property int|null $practice_id
 * @property int|null $practitioner_id
 * @property int|null $device_id
 * @property RecordingKind $kind
 * @property string $source phone, belt, belts, oximeter or file
 * @property string|null $position
 * @property string|null $about the exercise that was led
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $ended_at
 * @property int|null $parts how many there will be
 * @property int|null $inhale_ms when the patient was asked to breathe in
 * @property list<list<int>>|null $played start, inhale, exhale and length of each breath that was led, ms
 * @property array<string, mixed>|null $marks calibration and holds, s
 * @property int|null $prescribed breaths that were led
 * @property int|null $seen of them
 * @property int|null $followed of those
 * @property int|null $lag_ms
 * @property float|null $ratio_kept
 * @property float|null $rate breaths per minute
 * @property array<string, mixed>|null $details
 * @property string|null $problem why nothing could be read
 * @property CarbonImmutable|null $read_at
 * @property CarbonImmutable|null $set_aside_at it came from a device in the wrong hands
 * @property CarbonImmutable|null $samples_until
 * @property CarbonImmutable|null $samples_gone_at
 * @property CarbonImmutable $created_at
 * @property Patient $patient
 * @property \Illuminate\Database\Eloquent\Collection<int, RecordingSensor> $sensors
 */
final class Recording extends Row
{
    public $timestamps = false;

    protected $table = 'recordings';

    /** @return BelongsTo<Patient, $this> */
    public function patient(): BelongsTo
    {
        return $this->belongsTo(Patient::class);
    }

    /** @return HasMany<RecordingPart, $this> */
    public function samples(): HasMany
    {
        return $this->hasMany(RecordingPart::class)->orderBy('sender')->orderBy('number');
    }

    /** @return HasMany<RecordingSensor, $this> devices of the room that may send to it */
    public function sensors(): HasMany
    {
        return $this->hasMany(RecordingSensor::class);
    }

    /** Whether this patient has as many of one day as there may be. */
    public static function areEnough(string $patient, CarbonImmutable $now): bool
    {
        return self::query()->where('patient_id', $patient)->where('created_at', '>=', $now->subDay())->count() >= SamplesKept::MOST_A_DAY;
    }

    /** Until when it goes on, or went on, where nobody ended it. */
    public function endsAt(): CarbonImmutable
    {
        return $this->ended_at ?? $this->started_at->addMinutes(SamplesKept::LONGEST_MINUTES);
    }

    public function isOpen(CarbonImmutable $now): bool
    {
        return $this->kind->isOfTheRoom() && $this->ended_at === null && $now < $this->endsAt();
    }

    /** Part of the led breaths that could be seen and were followed, 0–1; null when nothing can be said of most of them. */
    public function share(): ?float
    {
        return Felt::of($this->followed, $this->seen, $this->prescribed, null, null)?->share();
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => RecordingKind::class, 'started_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime',
            'read_at' => 'immutable_datetime',
            'set_aside_at' => 'immutable_datetime', 'samples_until' => 'immutable_datetime', 'samples_gone_at' => 'immutable_datetime',
            'created_at' => 'immutable_datetime', 'played' => 'array', 'marks' => 'array', 'details' => 'array',
            'ratio_kept' => 'float', 'rate' => 'float',
        ];
    }
}
