<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FindingReason;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Support\PatientFactsOf;
use Carbon\CarbonImmutable;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\PauseRules;
use IvoryPace\Safety\Recheck;

/** A new fact about the patient is held against the running programme at once. */
final class RecheckProgramme
{
    public function __invoke(Patient $patient, PatientFacts $before): void
    {
        $patient->load('latestScreening.answers', 'activeProgramme.versions.items');
        $version = $patient->activeProgramme?->latestVersion()?->load('findingReasons');
        if ($version === null) {
            return;
        }
        $now = CarbonImmutable::now();
        $reasoned = $version->findingReasons->groupBy('lineage')->map(fn ($reasons) => array_values($reasons->map(fn (FindingReason $reason) => $reason->rule)->all()))->all();
        $items = array_values($version->items->map(fn (ProgrammeItem $row) => $row->item())->all());
        $recheck = Recheck::of($items, $before, PatientFactsOf::patient($patient, $now), PatientFactsOf::inForce($version), $reasoned);
        foreach ($recheck->new as ['item' => $item, 'finding' => $finding, 'pauses' => $pauses]) {
            $known = $patient->newFindings()->where('lineage', $item->lineage)->where('rule', $finding->rule)->exists();
            if (! $known) {
                $patient->newFindings()->create([
                    'lineage' => $item->lineage, 'rule' => $finding->rule, 'level' => $finding->level, 'exercise' => $item->name(),
                    'title' => $finding->title, 'message' => $finding->message, 'found_at' => $now,
                ]);
            }
            if ($pauses && ! $patient->pauses()->goingOn()->where('lineage', $item->lineage)->where('rule', PauseRules::NEW_FINDING)->exists()) {
                $patient->pauses()->create([
                    'lineage' => $item->lineage, 'rule' => PauseRules::NEW_FINDING, 'practice_id' => null,
                    'cause' => "{$item->name()}: {$finding->title}", 'from_at' => $now,
                ]);
            }
        }
    }
}
