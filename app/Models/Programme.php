<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Programme\History;
use IvoryPace\Programme\Outcome;
use IvoryPace\Safety\Likeness;

/**
 * @property int $id
 * @property string $patient_id
 * @property CarbonImmutable|null $closed_on its last day
 * @property Outcome|null $outcome
 * @property string|null $outcome_note
 * @property bool $is_maintenance it keeps up what an earlier one reached, and has no end
 * @property CarbonImmutable|null $first_day where it was asked for
 * @property Collection<int, ProgrammeVersion> $versions
 */
final class Programme extends Row
{
    protected $table = 'programmes';

    /** @return BelongsTo<Patient, $this> */
    public function patient(): BelongsTo
    {
        return $this->belongsTo(Patient::class);
    }

    /** @return HasMany<ProgrammeVersion, $this> that stand: one that was withdrawn on the day of its issue never was in force */
    public function versions(): HasMany
    {
        return $this->everyVersion()->whereNull('withdrawn_at');
    }

    /** @return HasMany<ProgrammeVersion, $this> */
    public function everyVersion(): HasMany
    {
        return $this->hasMany(ProgrammeVersion::class)->orderBy('number');
    }

    /** @var array{History, Collection<int, ProgrammeVersion>, int, mixed}|null as it was last made, and what it was made of */
    private ?array $made = null;

    /** The versions as the core sees them. It is asked for often, and made anew only when they or the end are others. */
    public function history(): History
    {
        $of = [$this->versions, $this->versions->count(), $this->attributes['closed_on'] ?? null];
        if ($this->made === null || array_slice($this->made, 1) !== $of) {
            $this->made = [$this->readHistory(), ...$of];
        }

        return $this->made[0];
    }

    private function readHistory(): History
    {
        return new History(
            array_values($this->versions->map(fn (ProgrammeVersion $version) => $version->forScheduling())->all()),
            $this->closed_on === null ? null : PatientDay::of($this->closed_on->format('Y-m-d')),
        );
    }

    /** @return array<string, list<Likeness>> by lineage: what its exercises are and were like */
    public function likenesses(): array
    {
        $all = [];
        foreach ($this->versions as $version) {
            foreach ($version->items as $row) {
                $all[$row->lineage] = [...($all[$row->lineage] ?? []), ...$row->likeness()];
            }
        }

        return $all;
    }

    /** The version in force on a day; the latest one when the programme has not begun. */
    public function versionOn(PatientDay $day): ?ProgrammeVersion
    {
        $number = $this->history()->inForceOn($day)?->number;

        return $this->versions->firstWhere('number', $number);
    }

    public function latestVersion(): ?ProgrammeVersion
    {
        return $this->versions->last();
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'closed_on' => 'immutable_date', 'is_maintenance' => 'boolean', 'outcome' => Outcome::class, 'outcome_note' => Sealed::class,
        ];
    }
}
