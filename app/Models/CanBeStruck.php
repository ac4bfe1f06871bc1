<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was measured, ticked or practised by mistake is struck, with a reason: it stays readable and counts nowhere. Queries
 * leave it out unless they ask for it.
 *
 * @property CarbonImmutable|null $struck_at
 * @property int|null $struck_by
 * @property string|null $struck_reason
 * @property Practitioner|null $striker
 */
trait CanBeStruck
{
    protected static function bootCanBeStruck(): void
    {
        static::addGlobalScope('standing', fn (Builder $rows) => $rows->whereNull($rows->qualifyColumn('struck_at')));
    }

    /** @return Builder<self> also of what was struck */
    public static function withStruck(): Builder
    {
        return self::query()->withoutGlobalScope('standing');
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function striker(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'struck_by');
    }
}
