<?php

declare(strict_types=1);

namespace App\Facts\Calendar;

use App\Models\Patient;
use Carbon\CarbonImmutable;
use IvoryPace\Practice\PracticeTime;
use IvoryPace\Practice\PracticeTimes;

/** When a patient practises from today on, as far as nothing is paused. */
final class PracticeTimesOf
{
    /** A programme without an end is written down for so long. */
    private const DAYS = 365;

    /** @return list<PracticeTime> */
    public static function patient(Patient $patient, CarbonImmutable $now): array
    {
        $programme = $patient->loadMissing('activeProgramme.versions.items')->activeProgramme;
        if ($programme === null || $patient->archived_at !== null) {
            return [];
        }
        $paused = PausedNow::lineages($patient, $programme, $now);
        $today = $patient->dayOf($now);
        $times = new PracticeTimes($programme->history(), $patient->clock());

        return $times->between($today, $today->plusDays(self::DAYS), $paused);
    }
}
