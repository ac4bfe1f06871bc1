<?php

declare(strict_types=1);

namespace App\Pages\Record;

use App\Models\Patient;
use App\Models\ScreeningAnswer;
use App\Pages\Shared\PatientHead;
use App\Pages\Shared\ScreeningForm;
use Carbon\CarbonImmutable;

/** Which records may be the same person's: one clinic, one date of birth; what is in each, and where their screenings differ. */
final class JoinPage
{
    private const MOST = 20;

    /** @return array<string, mixed> */
    public static function of(Patient $patient, CarbonImmutable $now): array
    {
        $others = Patient::query()->where('clinic_id', $patient->clinic_id)->where('birth_date', $patient->birth_date->format('Y-m-d'))
            ->whereKeyNot($patient->id)->with('latestScreening.answers', 'activeProgramme', 'practitioner', 'clinic')
            ->withCount(self::COUNTS)->orderBy('name')->limit(self::MOST)->get();
        $patient->loadMissing('latestScreening.answers', 'activeProgramme', 'practitioner')->loadCount(self::COUNTS);

        return [
            'patient' => PatientHead::of($patient, $now),
            'mine' => self::side($patient),
            'others' => array_values($others->map(fn (Patient $other) => [
                ...self::side($other), 'keeps' => $other->created_at < $patient->created_at ? $other->name : $patient->name,
                'differs' => self::differing($patient, $other),
            ])->all()),
        ];
    }

    private const COUNTS = ['careSessions', 'practices', 'screenings', 'programmes', 'devices'];

    /** @return array<string, mixed> */
    private static function side(Patient $patient): array
    {
        $zone = $patient->clinic->time_zone;

        return [
            'id' => $patient->id, 'name' => $patient->name, 'added_on' => $patient->created_at->setTimezone($zone)->format('j M Y'),
            'with' => $patient->practitioner->name, 'contact' => $patient->contact,
            'sessions' => (int) $patient->getAttribute('care_sessions_count'),
            'practices' => (int) $patient->getAttribute('practices_count'),
            'screened_on' => $patient->latestScreening?->completed_at->setTimezone($zone)->format('j M Y'),
            'running' => $patient->activeProgramme !== null, 'devices' => (int) $patient->getAttribute('devices_count'),
        ];
    }

    /** @return list<array{question: string, mine: string, theirs: string}> what the latest screenings answer differently */
    private static function differing(Patient $mine, Patient $theirs): array
    {
        $answers = fn (Patient $of): array => $of->latestScreening?->answers
            ->mapWithKeys(fn (ScreeningAnswer $answer) => [$answer->question => $answer->answer])->all() ?? [];
        [$a, $b] = [$answers($mine), $answers($theirs)];
        $words = fn (?bool $answer): string => $answer === null ? 'not asked' : ($answer ? 'yes' : 'no');
        $lines = [];
        foreach ($a === [] || $b === [] ? [] : ScreeningForm::labels() as $question => $text) {
            if (($a[$question] ?? null) !== ($b[$question] ?? null)) {
                $lines[] = ['question' => $text, 'mine' => $words($a[$question] ?? null), 'theirs' => $words($b[$question] ?? null)];
            }
        }

        return $lines;
    }
}
