<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Two records of one person became one: the older kept its name and number.
 *
 * @property int $id
 * @property string $older_id
 * @property string $younger_id
 * @property string $reason
 * @property CarbonImmutable $at
 * @property Practitioner $practitioner
 */
final class RecordJoin extends Row
{
    public $timestamps = false;

    protected $table = 'record_joins';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'reason' => Sealed::class];
    }
}
