<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A patient's yes to what is recorded, or its withdrawal. Rows are only added.
 *
 * @property string $version
 * @property string $kind accepted or withdrawn
 * @property string $about practice, or traces of a recording
 * @property CarbonImmutable $given_at
 * @property Practitioner|null $practitioner who recorded it, when it was not the patient
 */
final class Consent extends Row
{
    public $timestamps = false;

    protected $table = 'consents';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['given_at' => 'immutable_datetime'];
    }
}
