<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * When a patient comes.
 *
 * @property int $id
 * @property string $patient_id
 * @property int $practitioner_id
 * @property CarbonImmutable $starts_at
 * @property CarbonImmutable|null $cancelled_at
 * @property Patient $patient
 * @property Practitioner $practitioner
 */
final class Appointment extends Row
{
    protected $table = 'appointments';

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

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['starts_at' => 'immutable_datetime', 'cancelled_at' => 'immutable_datetime'];
    }
}
