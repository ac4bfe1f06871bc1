<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Actions\AnswerProposal;
use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\PatientFactsOf;
use App\Facts\ProposalOf;
use App\Facts\ReachOf;
use App\Models\MadeDecision;
use App\Models\ProgrammeItem;
use IvoryPace\Progress\Proposal\ProposalKind;

/** What is proposed for each exercise, with what accepting would make of it, and what was last decided. */
final class ProposalsOf
{
    /** @return list<array<string, mixed>> */
    public static function on(OnFile $file, EvidenceOf $evidence): array
    {
        $proposals = ProposalOf::on($file, $evidence);
        $latest = $file->programme?->latestVersion();
        $lines = [];
        foreach ($latest->items ?? [] as $row) {
            $proposal = $proposals->item($row);
            if ($latest === null || $proposal === null) {
                continue;
            }
            $decided = $file->decisions->last(fn (MadeDecision $decision) => $decision->lineage === $row->lineage && $decision->proposed === $proposal->kind);
            $lines[] = [
                'lineage' => $row->lineage, 'exercise' => $row->item()->name(), 'now' => $row->item()->summary(), 'based_on' => $latest->number,
                'kind' => $proposal->kind->value, 'label' => $proposal->kind->label(), 'because' => $proposal->because, 'rule' => $proposal->kind->rule(),
                'asks' => $proposal->kind->asksForDecision(), 'finishes' => $proposal->kind === ProposalKind::Finish, 'measures' => $proposal->kind === ProposalKind::MeasureAgain,
                'accepted' => self::accepted($row, $proposal->kind, $file),
                'decided' => $decided === null ? null : ['what' => $decided->decided->label(), 'on' => $decided->decided_at->setTimezone($file->patient->clinic->time_zone)->format('j M'), 'reason' => $decided->reason],
            ];
        }

        return $lines;
    }

    /** The exercise as it would be; null where it has to be chosen. */
    private static function accepted(ProgrammeItem $row, ProposalKind $kind, OnFile $file): ?string
    {
        return in_array($kind, [ProposalKind::StepUp, ProposalKind::StepBack], true)
            ? AnswerProposal::changed($row, $kind, $file->patient, ReachOf::on($file)->reach, PatientFactsOf::patient($file->patient, $file->now))?->summary() : null;
    }
}
