<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Clinic;
use App\Models\Consent;

/** What a patient agrees to before the first practice. A changed text gets a new version. */
final class ConsentText
{
    public const VERSION = '2026-11';

    /** @return list<array{title: string, text: string}> */
    public static function paragraphs(Clinic $clinic): array
    {
        $texts = trans('consent', ['clinic' => $clinic->name]);
        $paragraphs = [];
        foreach (is_array($texts) ? $texts : [] as $paragraph) {
            if (is_array($paragraph)) {
                $paragraphs[] = [
                    'title' => (string) $paragraph['title'],
                    'text' => str_replace(':clinic', $clinic->name, (string) $paragraph['text']),
                ];
            }
        }

        return $paragraphs;
    }

    public static function hash(Clinic $clinic): string
    {
        return hash('sha256', json_encode(self::paragraphs($clinic), JSON_THROW_ON_ERROR));
    }

    public static function isAcceptedFor(string $patientId, int $deviceId): bool
    {
        $latest = self::latest($patientId, $deviceId);

        return $latest?->kind === 'accepted' && $latest->version === self::VERSION;
    }

    /** Given once, in whichever wording, and not withdrawn since: what was done under it may still arrive. */
    public static function isInForceFor(string $patientId, int $deviceId): bool
    {
        return self::latest($patientId, $deviceId)?->kind === 'accepted';
    }

    private static function latest(string $patientId, int $deviceId): ?Consent
    {
        return Consent::query()->where('patient_id', $patientId)->where('device_id', $deviceId)
            ->where('about', 'practice')
            ->latest('given_at')->latest('id')->first();
    }
}
