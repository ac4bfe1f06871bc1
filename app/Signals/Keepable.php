<?php

declare(strict_types=1);

namespace App\Signals;

use App\Models\Recording;
use App\Models\RecordingKind;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\Taken;
use IvoryPace\Numbers;
use IvoryPace\Signal\Reading\Reading;
use IvoryPace\Signal\Reading\Together;

/** Which measures a recording gives a value for: they go where they would be typed, and say where they come from. */
final class Keepable
{
    /** @return array<string, Taken> by measure */
    public static function of(Recording $recording): array
    {
        $details = $recording->details ?? [];
        $heart = $details['heart'] ?? [];
        $taken = match ($recording->kind) {
            RecordingKind::Quiet => [
                ...(self::isLongEnough($recording)
                    ? self::one($recording, Measure::RestingRate, $recording->rate, self::belts($recording)) : []),
                ...self::hands($recording),
                ...self::one($recording, Measure::Pulse, $heart['pulse'] ?? null, 'oximeter, quiet minute'),
                ...self::one($recording, Measure::Saturation, $heart['saturation'] ?? null, 'oximeter, quiet minute'),
            ],
            RecordingKind::Hold => self::fall($recording, $details['fall'] ?? null),
            default => [],
        };

        return $taken;
    }

    /** A breath to compare the belts by is none at rest. */
    public static function isLongEnough(Recording $recording): bool
    {
        $calibration = $recording->marks['calibration'] ?? null;
        $from = is_numeric($calibration) ? (float) $calibration + Together::CALIBRATION_S : 0.0;

        return $recording->started_at->diffInMilliseconds($recording->endsAt()) / 1000 - $from >= Reading::LEAST_QUIET_S;
    }

    /** How a breath was measured. */
    private static function belts(Recording $recording): string
    {
        return self::hasBoth($recording) ? 'two belts, quiet minute' : 'belt, quiet minute';
    }

    private static function hasBoth(Recording $recording): bool
    {
        return count(array_intersect(['belly', 'chest'], $recording->details['channels'] ?? [])) === 2;
    }

    /** @return array<string, Taken> */
    private static function hands(Recording $recording): array
    {
        $share = $recording->details['belly_share'] ?? null;
        // Without a breath to compare the belts by their units say nothing of each other.
        if ($share === null || ! isset($recording->marks['calibration'])) {
            return [];
        }
        $angle = $recording->details['angle'] ?? null;
        $words = $angle === null ? [] : ['words' => 'chest and belly '.Numbers::print($angle).'° out of step'];

        return self::one($recording, Measure::HandCheck, 100 * (1 - $share), 'two belts', $words);
    }

    /**
     * @param  array{from: float, lowest: float, seconds: int, below: int, fell: bool, later: float|null, still_low: bool}|null  $fall
     * @return array<string, Taken>
     */
    private static function fall(Recording $recording, ?array $fall): array
    {
        if ($fall === null) {
            return [];
        }
        $words = 'from '.Numbers::print($fall['from']).' %, 4 points lower for '.$fall['seconds'].' s';

        return [
            ...self::one($recording, Measure::SaturationFall, $fall['lowest'], 'oximeter, watched hold', [
                'from' => $fall['from'], 'seconds' => $fall['seconds'], 'words' => $words,
            ]),
            // A minute later it is a value at rest.
            ...self::one($recording, Measure::Saturation, $fall['later'], 'oximeter, a minute after a hold'),
        ];
    }

    /**
     * @param  array<string, mixed>  $details
     * @return array<string, Taken>
     */
    private static function one(Recording $recording, Measure $measure, ?float $value, string $method, array $details = []): array
    {
        [$min, $max] = $measure->possible();

        return $value === null || $value < $min || $value > $max ? []
            : [$measure->value => Taken::measured($measure, round($value, 1), $method, $recording->uuid, $details)];
    }
}
