<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Calendar\Slot;

/**
 * When somebody of the clinic is away.
 *
 * @property int $id
 * @property int $practitioner_id
 * @property CarbonImmutable $starts_at
 * @property CarbonImmutable $ends_at the first moment that is no longer part of it
 * @property CarbonImmutable|null $updated_at
 * @property string|null $reason
 * @property Practitioner $practitioner
 */
final class Absence extends Row
{
    protected $table = 'absences';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    public function slot(): Slot
    {
        return Slot::between($this->starts_at, $this->ends_at);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'immutable_datetime', 'ends_at' => 'immutable_datetime', 'updated_at' => 'immutable_datetime',
            'reason' => Sealed::class,
        ];
    }
}
