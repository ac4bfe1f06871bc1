<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\ProgrammeVersion;
use App\Models\ScreeningAnswer;
use Carbon\CarbonImmutable;
use IvoryPace\Assessment\SaturationFall;
use IvoryPace\Breath\ComfortableLimits;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Health\Flag;
use IvoryPace\Safety\PatientFacts;
use stdClass;

/** Gathers what the safety rules need to know of a patient from the record. */
final class PatientFactsOf
{
    public static function patient(Patient $patient, CarbonImmutable $now): PatientFacts
    {
        $today = $patient->dayOf($now);
        $answers = self::answers($patient);
        $pregnancy = array_filter($answers, fn (ScreeningAnswer $answer) => $answer->question === 'flag.pregnancy' && $answer->answer);
        $firstDay = $patient->activeProgramme?->history()->firstDay();
        $measured = MeasureSheet::latest($patient);
        $value = fn (string $of): ?float => isset($measured[$of]) ? (float) $measured[$of]->value : null;

        return new PatientFacts(
            flags: self::flags($answers, $today),
            age: $patient->ageOn($today),
            pregnancyWeeks: self::weeksNow(array_values($pregnancy)[0] ?? null, $patient, $now),
            limits: new ComfortableLimits($value('inhale'), $value('hold'), $value('exhale')),
            restingRate: $value('resting-rate'),
            nijmegen: self::whole($value('nijmegen')),
            minutesADay: $patient->minutes_a_day === null ? null : (float) $patient->minutes_a_day,
            programmeDay: $firstDay === null ? 0 : max(0, $firstDay->daysUntil($today)),
            mmrc: self::whole($value('mmrc')),
            saturationFall: self::fall($measured['saturation-fall'] ?? null, $patient),
            ceiling: $value('ceiling'),
        );
    }

    /** Only what the screening and the birth date say: enough to name the flags. */
    public static function screened(Patient $patient, CarbonImmutable $now): PatientFacts
    {
        $today = $patient->dayOf($now);

        return new PatientFacts(flags: self::flags(self::answers($patient), $today), age: $patient->ageOn($today));
    }

    /** @return list<ScreeningAnswer> */
    private static function answers(Patient $patient): array
    {
        return array_values($patient->latestScreening?->answers->all() ?? []);
    }

    /**
     * @param  list<ScreeningAnswer>  $answers
     * @return list<Flag>
     */
    private static function flags(array $answers, PatientDay $today): array
    {
        return array_values(array_filter(array_map(fn (ScreeningAnswer $answer) => $answer->flagInForce($today), $answers)));
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

    private static function whole(?float $score): ?int
    {
        return $score === null ? null : (int) round($score);
    }

    private static function fall(?stdClass $row, Patient $patient): ?SaturationFall
    {
        $details = $row === null ? null : json_decode((string) $row->details, true);

        return $row === null || ! is_array($details) ? null
            : new SaturationFall(
                (float) $details['from'], (float) $row->value, (float) $details['seconds'],
                $patient->own_low_saturation === null ? null : (float) $patient->own_low_saturation,
            );
    }

    /** The weeks of a pregnancy go on counting after the screening. */
    private static function weeksNow(?ScreeningAnswer $answer, Patient $patient, CarbonImmutable $now): ?int
    {
        $asked = $patient->latestScreening?->completed_at;

        return $answer?->pregnancy_weeks === null || $asked === null
            ? null : $answer->pregnancy_weeks + (int) floor($asked->diffInDays($now) / 7);
    }
}
