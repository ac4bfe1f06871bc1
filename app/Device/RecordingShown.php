<?php

declare(strict_types=1);

namespace App\Device;

use App\Language\FollowedWords;
use App\Models\Patient;
use App\Models\Recording;
use App\Models\RecordingKind;

/** What a patient's phone felt, for the patient: a sentence, and the breath in the middle. */
final class RecordingShown
{
    private const LATEST = 5;

    /** @return array{state: string, sentence: string|null, inked: list<int>|null} */
    public static function of(?Recording $recording): array
    {
        if ($recording?->read_at === null) {
            return ['state' => 'waiting', 'sentence' => null, 'inked' => null];
        }

        return [
            'state' => 'read', 'sentence' => FollowedWords::of($recording), 'inked' => $recording->details['inked'] ?? null,
        ];
    }

    /** @return list<array{on: string, sentence: string}> latest first */
    public static function latest(Patient $patient): array
    {
        return array_values(Recording::query()->where('patient_id', $patient->id)->where('kind', RecordingKind::Practice)
            ->whereNotNull('read_at')->whereNull('set_aside_at')->orderByDesc('started_at')->limit(self::LATEST)->get()
            ->map(fn (Recording $recording) => [
                'on' => $recording->started_at->setTimezone($patient->time_zone)->isoFormat('D MMMM, HH:mm'),
                'sentence' => FollowedWords::of($recording),
            ])->all());
    }
}
