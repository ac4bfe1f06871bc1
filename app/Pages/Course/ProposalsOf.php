<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\ProposalOf;
use App\Facts\StepOf;
use App\Models\MadeDecision;
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
            $decided = $file->decisions->last(
                fn (MadeDecision $decision) => $decision->lineage === $row->lineage && $decision->proposed === $proposal->kind,
            );
            $lines[] = [
                'lineage' => $row->lineage, 'exercise' => $row->item()->name(), 'now' => $row->item()->summary(),
                'based_on' => $latest->number,
                'kind' => $proposal->kind->value, 'label' => $proposal->kind->label(), 'because' => $proposal->because,
                'rule' => $proposal->kind->rule(),
                'asks' => $proposal->kind->asksForDecision(), 'finishes' => $proposal->kind === ProposalKind::Finish,
                'measures' => $proposal->kind === ProposalKind::MeasureAgain,
                'accepted' => StepOf::accepted($row, $proposal->kind, $file)?->summary(),
                'decided' => $decided === null
                    ? null
                    : [
                        'what' => $decided->decided->label(),
                        'on' => $decided->decided_at->setTimezone($file->patient->clinic->time_zone)->format('j M'),
                        'reason' => $decided->reason,
                    ],
            ];
        }

        return $lines;
    }
}
