<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\ProgrammeItem;
use IvoryPace\Programme\Item;
use IvoryPace\Progress\Proposal\ProposalKind;
use IvoryPace\Progress\Proposal\StepTaken;

/** What becomes of an exercise when a proposal is accepted, from rows. */
final class StepOf
{
    /** The exercise as accepting would make it; null where that has to be chosen on the Bench. */
    public static function accepted(ProgrammeItem $row, ProposalKind $kind, OnFile $file): ?Item
    {
        return in_array($kind, [ProposalKind::StepUp, ProposalKind::StepBack], true)

                ? StepTaken::by(
                    $kind, $row->item(), ReachOf::on($file)->reach, self::earlier($row, $file->patient),
                    PatientFactsOf::patient($file->patient, $file->now),
                )
                : null;
    }

    /** @return list<Item> the exercise in older versions, latest first */
    public static function earlier(ProgrammeItem $row, Patient $patient): array
    {
        $items = [];
        foreach ($patient->activeProgramme?->versions->reverse() ?? [] as $version) {
            $then = $version->items->firstWhere('lineage', $row->lineage);
            if ($then !== null && $then->id !== $row->id) {
                $items[] = $then->item();
            }
        }

        return $items;
    }
}
