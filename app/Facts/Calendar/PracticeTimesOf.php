<?php

declare(strict_types=1);

namespace App\Facts\Calendar;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use IvoryPace\Practice\PracticeTime;
use IvoryPace\Practice\PracticeTimes;

/** When a patient practises from today on, as far as nothing is paused. */
final class PracticeTimesOf
{
    /** A programme without an end is written down for so long. */
    private const DAYS = 365;

    private const MOST_PAUSES = 50;

    /** @return list<PracticeTime> */
    public static function patient(Patient $patient, CarbonImmutable $now): array
    {
        $programme = $patient->loadMissing('activeProgramme.versions.items')->activeProgramme;
        if ($programme === null || $patient->archived_at !== null) {
            return [];
        }
        $pauses = $patient->pauses()->holding($now)->limit(self::MOST_PAUSES)->get();
        $rows = $programme->versions->flatMap(fn (ProgrammeVersion $version) => $version->items);
        $paused = $rows->filter(fn (ProgrammeItem $row) => $pauses->contains(
            fn (Pause $pause) => $pause->concerns($row->lineage, $row->likeness()),
        ))->map(fn (ProgrammeItem $row) => $row->lineage)->unique()->all();
        $today = $patient->dayOf($now);
        $times = new PracticeTimes($programme->history(), $patient->clock());

        return $times->between($today, $today->plusDays(self::DAYS), array_values($paused));
    }
}
