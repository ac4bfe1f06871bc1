<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\ProposalOf;
use App\Facts\StepOf;
use App\Models\FindingReason;
use App\Models\MadeDecision;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Programme\Item;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Programme\ProgrammeDates;
use IvoryPace\Programme\VersionOrder;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Progress\Proposal\Proposal;
use IvoryPace\Progress\Proposal\ProposalKind;

/**
 * A practitioner accepts a proposal for an exercise, which issues a version with the exercise on its other rung, or
 * declines it with a reason. Nothing is ever applied without this.
 */
final class AnswerProposal
{
    public function __construct(private readonly IssueVersion $issue)
    {
    }

    /** @throws ValidationException with what is in the way */
    public function accept(Patient $patient, Practitioner $by, string $lineage, ProposalKind $shown, int $basedOn): ProgrammeVersion
    {
        return DB::transaction(function () use ($patient, $by, $lineage, $shown, $basedOn) {
            [$patient, $latest, $row, $proposal, $file] = $this->present($patient, $lineage, $shown, $basedOn);
            $changed = StepOf::accepted($row, $proposal->kind, $file) ?? $this->refuse('There is no rung to take: change it on the Bench.');
            try {
                $version = ($this->issue)($patient, $by, $this->order($patient, $latest, $changed, $proposal));
            } catch (ValidationException $problem) {
                $this->refuse(implode(' ', array_merge(...array_values($problem->errors()))).' Nothing was changed; take it to the Bench.');
            }
            $this->note(
                $patient, $by, $row, $proposal, $proposal->kind === ProposalKind::StepUp ? Decision::StepUp : Decision::StepBack, null,
                $version->id,
            );

            return $version;
        });
    }

    /** @throws ValidationException */
    public function decline(Patient $patient, Practitioner $by, string $lineage, ProposalKind $shown, int $basedOn, string $reason): void
    {
        DB::transaction(function () use ($patient, $by, $lineage, $shown, $basedOn, $reason) {
            [$patient, , $row, $proposal] = $this->present($patient, $lineage, $shown, $basedOn);
            $this->note($patient, $by, $row, $proposal, Decision::Stay, $reason);
        });
    }

    /**
     * @return array{Patient, ProgrammeVersion, ProgrammeItem, Proposal, OnFile} as they are now, under a lock: what was shown may have been
     * overtaken
     */
    private function present(Patient $patient, string $lineage, ProposalKind $shown, int $basedOn): array
    {
        $patient = Patient::query()->lockForUpdate()
            ->with(['activeProgramme.versions.items', 'activeProgramme.versions.practitioner', 'activeProgramme.versions.findingReasons'])
            ->findOrFail($patient->id);
        $file = OnFile::patient($patient, CarbonImmutable::now());
        $latest = $patient->activeProgramme?->latestVersion();
        $row = $latest?->items->firstWhere('lineage', $lineage);
        $evidence = EvidenceOf::on($file);
        if ($latest === null || $row === null || $evidence === null) {
            $this->refuse('This exercise is no longer prescribed.');
        }
        if ($latest->number !== $basedOn) {
            $this->refuse("Version {$latest->number} was issued by {$latest->practitioner->name} meanwhile. Look at it first.");
        }
        $proposal = ProposalOf::on($file, $evidence)->item($row);
        if ($proposal?->kind !== $shown) {
            $this->refuse(
                'What is known has changed since this was shown'.($proposal === null ? '.' : ': now it is “'.$proposal->kind->label().'”.')
                    .' Look again.',
            );
        }

        return [$patient, $latest, $row, $proposal, $file];
    }

    private function order(Patient $patient, ProgrammeVersion $latest, Item $changed, Proposal $proposal): VersionOrder
    {
        $ends = $latest->ends_on?->format('Y-m-d');
        $review = ProgrammeDates::reviewAfterAStep(
            $patient->dayOf(CarbonImmutable::now()), PatientDay::of($latest->review_on->format('Y-m-d')),
            $ends === null ? null : PatientDay::of($ends),
        );
        $items = array_values(
            $latest->items->map(
                fn (ProgrammeItem $row) => ['id' => $row->lineage] + (
                    $row->lineage === $changed->lineage ? ItemFields::write($changed) : $row->fields
                ),
            )
                ->all(),
        );

        return new VersionOrder(
            items: $items, weeks: 4, reviewOn: $review->date, startsOn: null, ratedSymptom: $latest->rated_symptom,
            reason: "{$proposal->kind->label()} accepted. {$proposal->because}", basedOn: $latest->number,
            findingReasons: $this->reasonsThatStay($latest, $changed, fn (FindingReason $given) => $given->reason), endsOn: $ends,
            school: $latest->school->value, goal: $latest->goal ?? [],
            findingCauses: $this->reasonsThatStay($latest, $changed, fn (FindingReason $given) => $given->cause ?? []),
            patientNote: (string) __('patient.change.step', ['exercise' => $changed->name(), 'now' => $changed->summary()]),
        );
    }

    /**
     * What was given as a reason for the other exercises still stands, for what it was given for; the one that changes is
     * looked at anew.
     *
     * @template T
     *
     * @param  callable(FindingReason): T  $of
     * @return array<int, array<string, T>> by place of the item and rule
     */
    private function reasonsThatStay(ProgrammeVersion $latest, Item $changed, callable $of): array
    {
        $reasons = [];
        foreach ($latest->items->values() as $index => $row) {
            foreach ($row->lineage === $changed->lineage ? [] : $latest->findingReasons->where('lineage', $row->lineage) as $given) {
                $reasons[$index][$given->rule] = $of($given);
            }
        }

        return $reasons;
    }

    private function note(
        Patient $patient,
        Practitioner $by,
        ProgrammeItem $row,
        Proposal $proposal,
        Decision $decision,
        ?string $reason,
        ?int $version = null,
    ): void {
        MadeDecision::query()->create([
            'clinic_id' => $patient->clinic_id, 'patient_id' => $patient->id, 'practitioner_id' => $by->id, 'lineage' => $row->lineage,
            'proposed' => $proposal->kind, 'decided' => $decision, 'agrees' => $decision->follows($proposal->kind), 'reason' => $reason,
            'decided_at' => CarbonImmutable::now(), 'programme_version_id' => $version,
        ]);
    }

    private function refuse(string $message): never
    {
        throw ValidationException::withMessages(['proposal' => $message]);
    }
}
