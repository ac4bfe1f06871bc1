<?php

declare(strict_types=1);

namespace App\Facts\Calendar;

use App\Models\Patient;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\PutOffPractice;
use Carbon\CarbonImmutable;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\DueSlot;
use IvoryPace\Practice\Reminders;
use IvoryPace\Practice\Today;
use IvoryPace\Practice\TodaySlot;

/** What a patient-day asks for, and what of it is done. */
final class PracticesOfDay
{
    private const MOST = 100;

    /** @return list<TodaySlot> by time */
    public static function slots(Patient $patient, Programme $programme, PatientDay $day): array
    {
        $clock = $patient->clock();
        $due = new DuePractices($programme->history(), $clock);
        $practices = $patient->practices()->whereBetween('started_at', [$clock->startsAt($day), $clock->endsAt($day)])
            ->orderBy('started_at')->limit(self::MOST)->get();

        return (new Today($due->on($day), array_values($practices->map(fn (Practice $practice) => $practice->record())->all())))->slots;
    }

    /** @return list<DueSlot> of which the patient is to be reminded now */
    public static function toRemindOf(Patient $patient, CarbonImmutable $now): array
    {
        $programme = $patient->activeProgramme;
        if ($programme === null || $patient->archived_at !== null) {
            return [];
        }
        $day = $patient->dayOf($now);
        $putOff = $patient->putOffs()->where('day', $day->date)->limit(self::MOST)->get()
            ->map(fn (PutOffPractice $each) => Reminders::key($each->lineage, $each->anchor->value));

        return Reminders::due(
            self::slots($patient, $programme, $day), PausedNow::lineages($patient, $programme, $now), array_values($putOff->all()), $now,
        );
    }
}
