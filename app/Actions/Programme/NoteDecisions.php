<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\ProposalOf;
use App\Models\CareSession;
use App\Models\MadeDecision;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Progress\Proposal\Decision;

/** Puts each decision of a session beside what is proposed at that moment; taken back, it is gone. */
final class NoteDecisions
{
    /** @param  array<array-key, mixed>  $decisions  by lineage, as typed */
    public function __invoke(CareSession $session, array $decisions): void
    {
        $made = [];
        foreach ($decisions as $lineage => $typed) {
            $decision = Decision::tryFrom(is_array($typed) && is_string($typed['decision'] ?? null) ? $typed['decision'] : '');
            if ($decision !== null) {
                $made[(string) $lineage] = $decision;
            }
        }
        $known = MadeDecision::query()->where('care_session_id', $session->id)->limit(100)->get()->keyBy('lineage');
        $changed = array_filter(
            $made, fn (Decision $decision, string $lineage) => $known->get($lineage)?->decided !== $decision, ARRAY_FILTER_USE_BOTH,
        );
        MadeDecision::query()->where('care_session_id', $session->id)->whereNotIn('lineage', array_keys($made))->delete();
        if ($changed !== []) {
            $this->note($session, $changed, $known);
        }
    }

    /**
     * @param  array<string, Decision>  $changed  by lineage
     * @param  Collection<array-key, MadeDecision>  $known  by lineage: what was proposed first stays, for a version issued since begins
     *     anew
     */
    private function note(CareSession $session, array $changed, Collection $known): void
    {
        $now = CarbonImmutable::now();
        $patient = Patient::query()->with(['activeProgramme.versions.items', 'clinic'])->findOrFail($session->patient_id);
        $file = OnFile::patient($patient, $now);
        $evidence = EvidenceOf::on($file);
        $proposals = $evidence === null ? null : ProposalOf::on($file, $evidence);
        foreach ($changed as $lineage => $decision) {
            $row = $patient->activeProgramme?->latestVersion()?->items->firstWhere('lineage', $lineage);
            if ($row === null) {
                continue;
            }
            $kind = $known->get($lineage)->proposed ?? $proposals?->item($row)?->kind;
            MadeDecision::query()->updateOrCreate(['care_session_id' => $session->id, 'lineage' => $lineage], [
                'clinic_id' => $patient->clinic_id, 'patient_id' => $patient->id, 'practitioner_id' => $session->practitioner_id,
                'proposed' => $kind, 'decided' => $decision, 'agrees' => $kind === null ? null : $decision->follows($kind),
                'decided_at' => $now,
            ]);
        }
    }
}
