<?php

declare(strict_types=1);

namespace App\Pages\Bench;

use App\Models\Patient;
use App\Models\Recording;
use App\Models\RecordingKind;

/** The pace at which the patient's heart swung most with the breath, when paces were last compared. */
final class BestPaceOf
{
    private const LATEST = 5;

    /** @return array{pace: float, on: string, as_good: list<float>}|null breaths a minute */
    public static function patient(Patient $patient): ?array
    {
        $latest = Recording::query()->where('patient_id', $patient->id)->where('kind', RecordingKind::Pace)->whereNull('set_aside_at')
            ->orderByDesc('started_at')->limit(self::LATEST)->get()
            ->first(fn (Recording $recording) => isset($recording->details['heart']['best']));

        return $latest === null ? null : [
            'pace' => (float) $latest->details['heart']['best'],
            'on' => $latest->started_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            'as_good' => array_map(floatval(...), $latest->details['heart']['as_good'] ?? []),
        ];
    }
}
