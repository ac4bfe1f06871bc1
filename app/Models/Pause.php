<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Practice\Pause as CorePause;

/**
 * @property int $id
 * @property string $patient_id
 * @property string|null $lineage null for every exercise
 * @property string $rule
 * @property int|null $practice_id
 * @property string|null $cause what brought it, where it was no practice
 * @property CarbonImmutable $from_at
 * @property CarbonImmutable|null $until_at
 * @property string|null $looked_at
 * @property Practice|null $practice
 * @property Practitioner|null $endedBy
 */
final class Pause extends Row
{
    public $timestamps = false;

    protected $table = 'pauses';

    /** @return BelongsTo<Practice, $this> */
    public function practice(): BelongsTo
    {
        return $this->belongsTo(Practice::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function endedBy(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'ended_by');
    }

    /** @param  Builder<Pause>  $query  nobody has looked yet */
    public function scopeGoingOn(Builder $query): void
    {
        $query->whereNull('until_at');
    }

    /** @param  Builder<Pause>  $query  holding at this moment: also one that ends when the next version takes effect */
    public function scopeHolding(Builder $query, CarbonImmutable $now): void
    {
        $query->where(fn (Builder $pause) => $pause->whereNull('until_at')->orWhere('until_at', '>', $now));
    }

    public function forAdherence(): CorePause
    {
        return new CorePause($this->lineage, $this->from_at, $this->until_at);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['from_at' => 'immutable_datetime', 'until_at' => 'immutable_datetime', 'looked_at' => 'encrypted'];
    }
}
