<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $patient_id
 * @property int $practitioner_id
 * @property string|null $remark
 * @property string|null $asked_form_id the patient's own answers, which this confirms
 * @property CarbonImmutable $completed_at
 * @property int|null $corrects_id the one in whose answers there was a mistake
 * @property string|null $correction_reason
 * @property Practitioner $practitioner
 * @property Collection<int, ScreeningAnswer> $answers
 */
final class Screening extends Row
{
    public $timestamps = false;

    protected $table = 'screenings';

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

    /** @return HasMany<ScreeningAnswer, $this> */
    public function answers(): HasMany
    {
        return $this->hasMany(ScreeningAnswer::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['completed_at' => 'immutable_datetime', 'remark' => Sealed::class, 'correction_reason' => Sealed::class];
    }
}
