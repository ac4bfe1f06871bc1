<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Models\Clinic;
use App\Models\Patient;
use App\Models\TrailEntry;
use Illuminate\Database\Eloquent\Builder;

/** Who opened and changed what, in words. */
final class TrailOf
{
    private const MOST = 200;

    /** By the first part of the address. */
    private const WORDS = [
        'course' => 'Course', 'screening' => 'Screening', 'red-flags' => 'What was done about a red flag', 'measure' => 'Measurements',
        'forms' => 'Questionnaires', 'new-findings' => 'New findings',
        'sessions' => 'Session', 'bench' => 'Bench', 'versions' => 'Programme version', 'access' => 'Access', 'consent' => 'Consent',
        'devices' => 'Devices', 'pauses' => 'Pauses',
        'record' => 'Record', 'details' => 'Details', 'handovers' => 'Who is responsible',
    ];

    /** @return list<array<string, mixed>> newest first */
    public static function clinic(Clinic $clinic): array
    {
        return self::list(TrailEntry::query()->where('clinic_id', $clinic->id)->with('patient'), $clinic->time_zone);
    }

    /** @return list<array<string, mixed>> newest first */
    public static function patient(Patient $patient): array
    {
        return self::list(TrailEntry::query()->where('patient_id', $patient->id)->with('patient'), $patient->clinic->time_zone);
    }

    /**
     * @param  Builder<TrailEntry>  $entries
     * @return list<array<string, mixed>>
     */
    private static function list(Builder $entries, string $zone): array
    {
        $latest = $entries->with('practitioner')->orderByDesc('at')->orderByDesc('id')->limit(self::MOST)->get();

        return array_values($latest->map(fn (TrailEntry $entry) => [
            'on' => $entry->at->setTimezone($zone)->format('j M Y H:i'), 'by' => $entry->practitioner->name,
            'kind' => $entry->kind === 'read' ? 'opened' : 'changed',
            'what' => self::WORDS[explode('/', $entry->what)[0]] ?? $entry->what, 'patient' => $entry->patient->name,
            'patient_id' => $entry->patient_id,
        ])->all());
    }
}
