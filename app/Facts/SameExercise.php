<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\ProgrammeItem;
use IvoryPace\Safety\Likeness;

/** On which lines of a patient's programmes the same exercise stands, or has stood. */
final class SameExercise
{
    private const MOST = 500;

    /** @return list<string> lineages, its own among them */
    public static function lineages(Patient $patient, ProgrammeItem $row): array
    {
        $lineages = [$row->lineage => true];
        $all = ProgrammeItem::query()->join('programme_versions', 'programme_versions.id', '=', 'programme_items.programme_version_id')
            ->join('programmes', 'programmes.id', '=', 'programme_versions.programme_id')->where('programmes.patient_id', $patient->id)
            ->orderByDesc('programme_items.id')->limit(self::MOST)->get('programme_items.*');
        foreach ($all as $each) {
            if (! isset($lineages[$each->lineage]) && Likeness::meet($each->likeness(), $row->likeness())) {
                $lineages[$each->lineage] = true;
            }
        }

        return array_map(strval(...), array_keys($lineages));
    }
}
