<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Who opened, changed or took out what, and of which patient; a practitioner or a patient's device.
 *
 * @property TrailKind $kind
 * @property string $what
 * @property CarbonImmutable $at
 * @property string|null $patient_id
 * @property array<string, array{mixed, mixed}>|null $detail what was and what became of it, by name
 * @property Practitioner|null $practitioner
 * @property Device|null $device of the patient
 * @property Patient|null $patient
 */
final class TrailEntry extends Row
{
    public $timestamps = false;

    protected $table = 'access_trail';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return BelongsTo<Patient, $this> */
    public function patient(): BelongsTo
    {
        return $this->belongsTo(Patient::class);
    }

    /** @return BelongsTo<Device, $this> */
    public function device(): BelongsTo
    {
        return $this->belongsTo(Device::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'kind' => TrailKind::class, 'detail' => SealedList::class];
    }
}
