<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Exercise\School;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\Version;

/**
 * Immutable once issued; the database refuses every change.
 *
 * @property int $id
 * @property int $programme_id
 * @property int $number
 * @property int $practitioner_id
 * @property CarbonImmutable $in_force_from
 * @property CarbonImmutable|null $ends_on
 * @property CarbonImmutable $review_on
 * @property string $rated_symptom
 * @property string|null $reason for the practitioners
 * @property School $school
 * @property array{words: string, measure: string, target: float, direction: string}|null $goal
 * @property string|null $patient_note what changed and why, as the patient reads it
 * @property CarbonImmutable $issued_at
 * @property CarbonImmutable|null $withdrawn_at on the day on which it was issued, before anything of it was practised
 * @property string|null $withdrawn_reason
 * @property Practitioner $practitioner
 * @property Practitioner|null $withdrawer
 * @property Programme $programme
 * @property Collection<int, ProgrammeItem> $items
 * @property Collection<int, FindingReason> $findingReasons
 */
final class ProgrammeVersion extends Row
{
    public $timestamps = false;

    protected $table = 'programme_versions';

    /** @return BelongsTo<Programme, $this> */
    public function programme(): BelongsTo
    {
        return $this->belongsTo(Programme::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function withdrawer(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'withdrawn_by');
    }

    /** @return HasMany<ProgrammeItem, $this> */
    public function items(): HasMany
    {
        return $this->hasMany(ProgrammeItem::class)->orderBy('id');
    }

    /** @return array<string, Item> as the core sees them */
    public function itemsByLineage(): array
    {
        $items = [];
        foreach ($this->items as $row) {
            $items[$row->lineage] = $row->item();
        }

        return $items;
    }

    /** @return HasMany<FindingReason, $this> */
    public function findingReasons(): HasMany
    {
        return $this->hasMany(FindingReason::class);
    }

    public function forScheduling(): Version
    {
        $plans = [];
        foreach ($this->items as $item) {
            $plan = $item->item()->plan;
            if ($plan !== null) {
                $plans[$item->lineage] = $plan; // as needed there is nothing to schedule
            }
        }

        return new Version(
            $this->number,
            PatientDay::of($this->in_force_from->format('Y-m-d')),
            $this->ends_on === null ? null : PatientDay::of($this->ends_on->format('Y-m-d')),
            $plans,
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'in_force_from' => 'immutable_date', 'ends_on' => 'immutable_date', 'review_on' => 'immutable_date',
            'issued_at' => 'immutable_datetime', 'withdrawn_at' => 'immutable_datetime',
            'withdrawn_reason' => Sealed::class, 'reason' => Sealed::class, 'goal' => SealedList::class, 'patient_note' => Sealed::class,
            'school' => School::class,
        ];
    }
}
