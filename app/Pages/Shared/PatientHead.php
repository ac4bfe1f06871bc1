<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Facts\PatientFactsOf;
use App\Facts\Safeguards;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use IvoryPace\Safety\PatientFacts;

/** The line about a patient that heads every page of theirs. */
final class PatientHead
{
    /** @return list<string> labels of the flags in force today */
    public static function flags(Patient $patient): array
    {
        return PatientFactsOf::screened($patient, CarbonImmutable::now())->labels();
    }

    private static function isNamesake(Patient $patient): bool
    {
        return Patient::query()->where('clinic_id', $patient->clinic_id)->where('name', $patient->name)
            ->whereKeyNot($patient->id)->exists();
    }

    /** @return array<string, mixed> */
    public static function of(Patient $patient, CarbonImmutable $now, ?PatientFacts $facts = null): array
    {
        $patient->loadMissing(['latestScreening.answers', 'openRedFlags', 'activeProgramme']);
        $facts ??= PatientFactsOf::screened($patient, $now);

        return [
            'id' => $patient->id,
            'name' => $patient->name,
            'age' => $facts->age,
            // Two of one name are told apart wherever one of them is.
            'born' => self::isNamesake($patient) ? $patient->birth_date->format('j M Y') : null,
            'archived_on' => $patient->archived_at?->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            'flags' => $facts->labels(),
            'minutes_a_day' => $patient->minutes_a_day,
            'today' => $patient->dayOf($now)->date,
            'obstacle' => Safeguards::obstacle($patient),
            'has_programme' => $patient->activeProgramme !== null,
            'open_session' => $patient->careSessions()->whereNull('closed_at')->value('id'),
        ];
    }
}
