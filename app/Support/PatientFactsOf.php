<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Patient;
use App\Models\ProgrammeVersion;
use App\Models\ScreeningAnswer;
use Carbon\CarbonImmutable;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Safety\PatientFacts;

/** Gathers what the safety rules need to know of a patient from the record. */
final class PatientFactsOf
{
    public static function patient(Patient $patient, CarbonImmutable $now): PatientFacts
    {
        $today = $patient->dayOf($now);
        $answers = $patient->latestScreening?->answers->all() ?? [];
        $pregnancy = array_filter($answers, fn (ScreeningAnswer $answer) => $answer->question === 'flag.pregnancy' && $answer->answer);
        $firstDay = $patient->activeProgramme?->history()->firstDay();
        $measured = MeasureSheet::latest($patient);

        return new PatientFacts(
            flags: array_values(array_filter(array_map(fn (ScreeningAnswer $answer) => $answer->flagInForce($today), $answers))),
            age: $patient->ageOn($today),
            pregnancyWeeks: self::weeksNow(array_values($pregnancy)[0] ?? null, $patient, $now),
            limits: new ComfortableLimits($measured['inhale'] ?? null, $measured['hold'] ?? null, $measured['exhale'] ?? null),
            restingRate: $measured['resting-rate'] ?? null,
            nijmegen: isset($measured['nijmegen']) ? (int) round($measured['nijmegen']) : null,
            minutesADay: $patient->minutes_a_day === null ? null : (float) $patient->minutes_a_day,
            programmeDay: $firstDay === null ? 0 : max(0, $firstDay->daysUntil($today)),
        );
    }

    /** @return array<string, Prescription> by lineage: the exercises as a version prescribes them */
    public static function inForce(?ProgrammeVersion $version): array
    {
        $prescriptions = [];
        foreach ($version->items ?? [] as $row) {
            $item = $row->item();
            if ($item->routine === null) {
                $prescriptions[$row->lineage] = $item->prescription;
            }
        }

        return $prescriptions;
    }

    /** The weeks of a pregnancy go on counting after the screening. */
    private static function weeksNow(?ScreeningAnswer $answer, Patient $patient, CarbonImmutable $now): ?int
    {
        $asked = $patient->latestScreening?->completed_at;

        return $answer?->pregnancy_weeks === null || $asked === null
            ? null : $answer->pregnancy_weeks + (int) floor($asked->diffInDays($now) / 7);
    }
}
