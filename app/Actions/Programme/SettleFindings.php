<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Models\NewFinding;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use IvoryPace\Safety\PauseRules;

/** A practitioner has looked at what a new fact said, or has changed the programme: its findings and pauses end. */
final class SettleFindings
{
    /**
     * @param  string|null  $lineage  null for every exercise
     * @param  CarbonImmutable|null  $until  when the pauses end; at once unless said
     */
    public function __invoke(
        Patient $patient,
        Practitioner $by,
        string $lookedAt,
        ?string $lineage = null,
        ?CarbonImmutable $until = null,
    ): void {
        $now = now();
        $patient->newFindings()->when($lineage !== null, fn ($query) => $query->where('lineage', $lineage))->get()
            ->each(fn (NewFinding $finding) => $finding->update(['settled_at' => $now, 'settled_by' => $by->id, 'looked_at' => $lookedAt]));
        $patient->pauses()->goingOn()->where('rule', PauseRules::NEW_FINDING)
            ->when($lineage !== null, fn ($query) => $query->where('lineage', $lineage))->get()
            ->each(fn (Pause $pause) => $pause->update(['until_at' => $until ?? $now, 'ended_by' => $by->id, 'looked_at' => $lookedAt]));
    }
}
