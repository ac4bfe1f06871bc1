<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use App\Models\Patient;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use IvoryPace\Practice\DiaryDay;

/** A patient's diary, as the patient and the practitioner see it. */
final class DiaryOf
{
    private const DAYS = 28;

    /** @return array<string, mixed> the last days */
    public static function patient(Patient $patient, CarbonImmutable $now): array
    {
        $today = $patient->dayOf($now);
        $from = $today->plusDays(1 - self::DAYS);
        $entries = $patient->diary()->where('day', '>=', $from->date)->orderBy('day')->limit(self::DAYS + 1)->get();
        $versions = $patient->activeProgramme?->versions->filter(
            fn (ProgrammeVersion $version) => $version->in_force_from->format('Y-m-d') >= $from->date,
        );

        return [
            'from' => $from->date, 'today' => $today->date,
            'symptoms' => $patient->symptoms()->limit(ChosenSymptom::MOST)->get()
                ->map(fn (ChosenSymptom $symptom) => ['id' => $symptom->id, 'name' => $symptom->name]),
            'late_days' => DiaryDay::LATE_DAYS,
            'entries' => $entries->map(fn (DiaryEntry $entry) => [
                'date' => $entry->day->format('Y-m-d'), 'ratings' => (object) ($entry->content['ratings'] ?? []),
                'sleep' => $entry->content['sleep'] ?? null, 'text' => $entry->content['text'] ?? '', 'late' => $entry->is_late,
            ]),
            'changes' => array_values(
                $versions?->map(
                    fn (ProgrammeVersion $version) => ['date' => $version->in_force_from->format('Y-m-d'), 'number' => $version->number],
                )->all() ?? [],
            ),
        ];
    }
}
