<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Who opened or changed what of which patient.
 *
 * @property string $kind read or write
 * @property string $what
 * @property CarbonImmutable $at
 * @property Practitioner $practitioner
 * @property Patient $patient
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

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime'];
    }
}
