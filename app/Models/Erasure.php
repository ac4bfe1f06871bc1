<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That a record was erased, or that it was asked for and refused. Rows are only added; the routine that erases says when it was done.
 *
 * @property int $id
 * @property int $clinic_id
 * @property string|null $patient_id none once it is gone
 * @property string $outcome erased or refused
 * @property string $why request, keeping or restore
 * @property string|null $reason why it was refused
 * @property string|null $mark by which a restored copy is known again
 * @property CarbonImmutable $asked_at
 * @property CarbonImmutable|null $done_at
 * @property Practitioner|null $practitioner
 */
final class Erasure extends Row
{
    public const ERASED = 'erased';

    public const REFUSED = 'refused';

    /** Somebody asked for it. */
    public const REQUEST = 'request';

    /** It was kept as long as the clinic keeps records. */
    public const KEEPING = 'keeping';

    /** An archive had brought it back. */
    public const RESTORE = 'restore';

    public $timestamps = false;

    protected $table = 'erasures';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @param  Builder<Erasure>  $query  written down and not done yet */
    public function scopeWaiting(Builder $query): void
    {
        $query->where('outcome', self::ERASED)->whereNull('done_at')->whereNotNull('patient_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['asked_at' => 'immutable_datetime', 'done_at' => 'immutable_datetime', 'reason' => Sealed::class];
    }
}
