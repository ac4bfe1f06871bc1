<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Practice\Adherence;
use IvoryPace\Programme\ItemFields;
use IvoryPace\Progress\Maintenance;
use stdClass;

/** A finished programme as it would be kept up: each exercise on fewer days, at the time that was kept best. */
final class MaintenanceOf
{
    /** How far back the times are looked at. */
    private const DAYS = 90;

    private const MOST_PRACTICES = 2000;

    /** @return list<array<string, mixed>> fields of each, as on the Bench */
    public static function items(Patient $patient, Programme $closed, CarbonImmutable $now): array
    {
        $today = $patient->dayOf($now);
        $end = $closed->closed_on === null ? $today : PatientDay::of($closed->closed_on->format('Y-m-d'));
        $from = $end->plusDays(1 - self::DAYS);
        $from = $from->isBefore($closed->history()->firstDay()) ? $closed->history()->firstDay() : $from;
        $adherence = self::adherence($patient, $closed, $from, $now);

        return array_values($closed->latestVersion()?->items->map(fn (ProgrammeItem $row) => [
            'id' => $row->lineage, ...ItemFields::write(Maintenance::of($row->item(), $adherence->byAnchor($from, $end, $row->lineage))),
        ])->all() ?? []);
    }

    private static function adherence(Patient $patient, Programme $closed, PatientDay $from, CarbonImmutable $now): Adherence
    {
        $clock = $patient->clock();
        $rows = DB::table('practices')->where('patient_id', $patient->id)->whereNull('struck_at')
            ->where('started_at', '>=', $clock->startsAt($from))
            ->orderBy('started_at')->limit(self::MOST_PRACTICES)->get(PracticeOnFile::COLUMNS);
        $pauses = $patient->pauses()
            ->where(fn ($pause) => $pause->whereNull('until_at')->orWhere('until_at', '>=', $clock->startsAt($from)))->orderBy('from_at')
            ->limit(500)->get();

        return AdherenceOf::programme(
            $closed, $patient, array_values($rows->map(fn (stdClass $row) => PracticeOnFile::read($row, $clock)->record)->all()), $pauses,
            collect(), $now,
        );
    }
}
