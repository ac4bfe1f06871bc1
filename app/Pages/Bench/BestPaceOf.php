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
        $compared = Recording::query()->where('patient_id', $patient->id)->where('kind', RecordingKind::Pace)->whereNull('set_aside_at')
            ->orderByDesc('started_at')->limit(self::LATEST)->get();
        foreach ($compared as $recording) {
            $heart = $recording->details['heart'] ?? [];
            if (isset($heart['best'])) {
                return [
                    'pace' => (float) $heart['best'],
                    'on' => $recording->started_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
                    'as_good' => array_values(array_map(floatval(...), $heart['as_good'] ?? [])),
                ];
            }
        }

        return null;
    }
}
