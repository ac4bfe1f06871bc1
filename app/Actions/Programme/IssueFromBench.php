<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\PatientFactsOf;
use App\Facts\ProposalOf;
use App\Facts\StepOf;
use App\Models\MadeDecision;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Programme\VersionOrder;
use IvoryPace\Progress\Proposal\Proposal;
use IvoryPace\Progress\Proposal\WhatWasDone;

/** Issues what was built on the Bench, and puts what became of each exercise beside what had been proposed for it. */
final readonly class IssueFromBench
{
    public function __construct(private IssueVersion $issue)
    {
    }

    /** @throws ValidationException with messages by field */
    public function __invoke(Patient $patient, Practitioner $by, VersionOrder $order): ProgrammeVersion
    {
        return DB::transaction(function () use ($patient, $by, $order) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $proposed = $this->proposed($patient);
            $version = ($this->issue)($patient, $by, $order);
            foreach ($proposed as [$row, $proposal]) {
                // What was decided in the session a moment ago is the same decision.
                if (
                    MadeDecision::standing()->where('patient_id', $patient->id)->where('lineage', $row->lineage)
                        ->where('proposed', $proposal->kind)->where('decided_at', '>=', CarbonImmutable::now()->subDay())->exists()
                ) {
                    continue;
                }
                $decision = WhatWasDone::to(
                    $row->item(), $version->items()->firstWhere('lineage', $row->lineage)?->item(), StepOf::earlier($row, $patient),
                    PatientFactsOf::patient($patient, CarbonImmutable::now()),
                );
                if ($decision !== null) {
                    MadeDecision::query()->create([
                        'clinic_id' => $patient->clinic_id, 'patient_id' => $patient->id, 'practitioner_id' => $by->id,
                        'lineage' => $row->lineage, 'proposed' => $proposal->kind,
                        'decided' => $decision, 'agrees' => $decision->follows($proposal->kind), 'reason' => $order->reason,
                        'decided_at' => CarbonImmutable::now(), 'programme_version_id' => $version->id,
                    ]);
                }
            }

            return $version;
        });
    }

    /** @return list<array{ProgrammeItem, Proposal}> those that ask for a decision, as they are before the new version */
    private function proposed(Patient $patient): array
    {
        $file = OnFile::patient($patient, CarbonImmutable::now());
        $evidence = EvidenceOf::on($file);
        $proposals = $evidence === null ? null : ProposalOf::on($file, $evidence);
        $asking = [];
        foreach ($patient->activeProgramme?->latestVersion()->items ?? [] as $row) {
            $proposal = $proposals?->item($row);
            if ($proposal?->kind->asksForDecision() === true) {
                $asking[] = [$row, $proposal];
            }
        }

        return $asking;
    }
}
