<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $rule
 * @property string $message
 * @property string $reason
 * @property CarbonImmutable $given_at
 * @property Practitioner $practitioner
 */
final class FindingReason extends Row
{
    public $timestamps = false;

    protected $table = 'finding_reasons';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['given_at' => 'immutable_datetime', 'message' => 'encrypted', 'reason' => 'encrypted'];
    }
}
