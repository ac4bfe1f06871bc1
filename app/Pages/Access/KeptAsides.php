<?php

declare(strict_types=1);

namespace App\Pages\Access;

use App\Models\KeptAside;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use IvoryPace\Health\StopSymptom;
use Throwable;

/** What signed-out devices of a patient sent, in words, for a practitioner to decide. */
final class KeptAsides
{
    private const MOST = 100;

    /** @return list<array<string, mixed>> urgent ones first */
    public static function of(Patient $patient): array
    {
        return array_values($patient->keptAside()->with('device')->orderByDesc('is_urgent')->orderBy('received_at')->limit(self::MOST)->get()->map(fn (KeptAside $kept) => [
            'id' => $kept->id,
            'what' => self::what($kept),
            'device' => $kept->device->label,
            'on' => $kept->received_at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i'),
            'urgent' => $kept->is_urgent,
        ])->all());
    }

    /** As far as it can be read: nothing of it has been checked. */
    private static function what(KeptAside $kept): string
    {
        $text = fn (string $field): string => is_scalar($kept->body[$field] ?? null) ? mb_substr((string) $kept->body[$field], 0, 60) : '';
        $day = function (string $field) use ($text): string {
            try {
                return $text($field) === '' ? 'an unknown day' : CarbonImmutable::parse($text($field))->format('j M Y');
            } catch (Throwable) {
                return 'an unknown day';
            }
        };

        return match ($kept->kind) {
            'practice' => "Practice of {$day('started_at')}, {$text('breaths_done')} breaths, {$text('seconds_done')} s"
                .(($symptom = StopSymptom::tryFrom($text('stop_symptom'))) === null ? '' : ", stopped: {$symptom->label()}"),
            'diary' => "Diary of {$day('day')}",
            'put-off' => "“Not today” of {$day('day')}",
            'check' => "Home check of {$day('taken_at')}",
            'second-look' => 'How it was after a stop'.(($kept->body['settled'] ?? true) === false ? ': it had not settled' : ''),
            default => 'Answers to questions'.($kept->is_urgent ? ', with a yes to something urgent' : ''),
        };
    }
}
