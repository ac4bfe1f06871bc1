<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A one-time way in for a patient's device. Only hashes are kept.
 *
 * @property int $id
 * @property string $patient_id
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $used_at
 * @property CarbonImmutable $created_at
 * @property Patient $patient
 */
final class AccessLink extends Row
{
    public $timestamps = false;

    protected $table = 'access_links';

    /** @return BelongsTo<Patient, $this> */
    public function patient(): BelongsTo
    {
        return $this->belongsTo(Patient::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['expires_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime'];
    }
}
