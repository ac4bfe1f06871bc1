<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $action
 * @property CarbonImmutable $recorded_at
 * @property Practitioner $practitioner
 */
final class RedFlagAction extends Row
{
    public $timestamps = false;

    protected $table = 'red_flag_actions';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['recorded_at' => 'immutable_datetime', 'action' => 'encrypted'];
    }
}
