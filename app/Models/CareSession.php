<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A patient's hour with a practitioner. It is open until its note is signed.
 *
 * @property string $id
 * @property string $patient_id
 * @property int $practitioner_id
 * @property int $number
 * @property CarbonImmutable $begun_at
 * @property CarbonImmutable|null $closed_at
 * @property CarbonImmutable|null $dropped_at it was begun by mistake
 * @property string|null $drop_reason
 * @property Practitioner|null $droppedBy
 * @property Patient $patient
 * @property Practitioner $practitioner
 * @property Collection<int, SessionStep> $steps
 * @property SessionNote|null $note
 */
final class CareSession extends Row
{
    use HasUlids;

    public $timestamps = false;

    protected $table = 'care_sessions';

    /** @return BelongsTo<Patient, $this> */
    public function patient(): BelongsTo
    {
        return $this->belongsTo(Patient::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function droppedBy(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'dropped_by');
    }

    /** @return HasMany<SessionStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(SessionStep::class);
    }

    /** @return HasOne<SessionNote, $this> */
    public function note(): HasOne
    {
        return $this->hasOne(SessionNote::class);
    }

    /** @return array<string, mixed> what was kept in a step */
    public function kept(string $step): array
    {
        return $this->steps->firstWhere('step', $step)->content ?? [];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'begun_at' => 'immutable_datetime', 'closed_at' => 'immutable_datetime', 'dropped_at' => 'immutable_datetime',
            'drop_reason' => Sealed::class,
        ];
    }
}
