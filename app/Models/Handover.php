<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A patient was moved to another practitioner, or shared with one, or no longer.
 *
 * @property string $kind move, share or end-share
 * @property int $to_id
 * @property string $reason
 * @property CarbonImmutable $at
 * @property Practitioner $to
 * @property Practitioner $by
 */
final class Handover extends Row
{
    public $timestamps = false;

    protected $table = 'handovers';

    /** @return BelongsTo<Practitioner, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'to_id');
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'by_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime', 'reason' => Sealed::class];
    }
}
