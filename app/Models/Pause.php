<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Practice\Pause as CorePause;
use IvoryPace\Safety\Likeness;

/**
 * @property int $id
 * @property string $patient_id
 * @property string|null $lineage null for every exercise
 * @property string $rule
 * @property int|null $practice_id
 * @property int|null $raised_red_flag_id
 * @property array<mixed>|null $likeness what the exercise is like, so that it stays paused under another name or on another line
 * @property string|null $cause what brought it, where it was no practice
 * @property string|null $reason as the patient reads it, where a practitioner paused
 * @property CarbonImmutable $from_at
 * @property CarbonImmutable|null $until_at
 * @property string|null $looked_at
 * @property int|null $ended_by
 * @property Practice|null $practice
 * @property Practitioner|null $endedBy
 * @property Practitioner|null $begunBy
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

    /** @return BelongsTo<Practitioner, $this> */
    public function begunBy(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'begun_by');
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

    /** @return BelongsTo<RaisedRedFlag, $this> */
    public function redFlag(): BelongsTo
    {
        return $this->belongsTo(RaisedRedFlag::class, 'raised_red_flag_id');
    }

    /**
     * Whether it holds an exercise: every one, this line of a programme, or one that is the same.
     *
     * @param  list<Likeness>  $likeness  of the exercise
     */
    public function concerns(string $lineage, array $likeness): bool
    {
        return $this->lineage === null || $this->lineage === $lineage || Likeness::meet(Likeness::readAll($this->likeness), $likeness);
    }

    /** @param  array<string, list<Likeness>>  $likenesses  by lineage */
    public function forAdherence(array $likenesses): CorePause
    {
        $lineages = $this->lineage === null
            ? null
            : array_map(
                strval(...),
                array_keys(
                    array_filter(
                        $likenesses, fn (array $likeness, string $lineage) => $this->concerns($lineage, $likeness), ARRAY_FILTER_USE_BOTH,
                    ),
                ),
            );

        return new CorePause($lineages, $this->from_at, $this->until_at);
    }

    /** What a practitioner has looked at; a stretch that was only heard of late was looked at by nobody. */
    public function wasLookedAt(): bool
    {
        return $this->until_at !== null && $this->ended_by !== null;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'from_at' => 'immutable_datetime', 'until_at' => 'immutable_datetime', 'looked_at' => Sealed::class, 'likeness' => 'array',
            'reason' => Sealed::class,
        ];
    }
}
