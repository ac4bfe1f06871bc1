<?php

declare(strict_types=1);

namespace App\Language;

use App\Models\Recording;
use App\Models\RecordingKind;
use IvoryPace\Numbers;

/** What a recording says, for the practitioner: every number with what it is. A training aid, no diagnosis. */
final class RecordingWords
{
    /** @return list<string> */
    public static function of(Recording $recording): array
    {
        $details = $recording->details ?? [];
        $lines = array_filter([
            self::breath($recording, $details), self::followed($recording), self::belts($recording, $details),
            self::heart($details['heart'] ?? []), self::best($recording, $details['heart'] ?? []), self::fall($details['fall'] ?? null),
        ]);

        return array_values($lines === [] ? array_filter([$recording->problem]) : $lines);
    }

    /** @param  array<string, mixed>  $details */
    private static function breath(Recording $recording, array $details): ?string
    {
        if ($recording->rate === null) {
            return null;
        }
        $more = array_filter([
            isset($details['ratio']) ? 'out '.self::print($details['ratio'], 1).' times as long as in' : null,
            isset($details['variation']) ? 'variation '.round(100 * $details['variation']).' %' : null,
            ($details['sighs'] ?? 0) > 0 ? $details['sighs'].($details['sighs'] === 1 ? ' sigh' : ' sighs') : null,
        ]);

        return self::print($recording->rate, 1).' breaths a minute'.($more === [] ? '' : ': '.implode(', ', $more)).'.';
    }

    private static function followed(Recording $recording): ?string
    {
        if ($recording->share() === null) {
            return null;
        }
        $lag = ($recording->lag_ms ?? 0) / 1000;
        $when = match (true) {
            $recording->lag_ms === null => '',
            abs($lag) < 0.05 => ', in time',
            default => ', begun '.self::print(abs($lag), 1).' s '.($lag > 0 ? 'late' : 'early'),
        };
        $ratio = $recording->ratio_kept === null ? '' : ', ratio kept to '.round(100 * $recording->ratio_kept).' %';

        return "Followed {$recording->followed} of {$recording->seen} breaths$when$ratio.";
    }

    /** @param  array<string, mixed>  $details */
    private static function belts(Recording $recording, array $details): ?string
    {
        if (! isset($details['angle'])) {
            $hasBoth = count(array_intersect(['belly', 'chest'], $details['channels'] ?? [])) === 2;

            return $hasBoth ? 'Too few breaths can be seen on both belts to compare them.' : null;
        }
        $share = isset($recording->marks['calibration'], $details['belly_share'])
            ? round(100 * $details['belly_share']).' % of the movement at the belly; ' : '';
        $loop = isset($details['loop']) ? ' (by the loop '.self::print($details['loop'], 0).'°)' : '';

        return ucfirst($share.'chest and belly '.self::print($details['angle'], 0)."° out of step$loop.");
    }

    /** @param  array<string, mixed>  $heart */
    private static function heart(array $heart): ?string
    {
        $parts = array_filter([
            isset($heart['pulse']) ? 'pulse '.self::print($heart['pulse'], 0) : null,
            isset($heart['saturation']) ? 'saturation '.self::print($heart['saturation'], 1).' %' : null,
            isset($heart['swing']) ? 'heart rate swings by '.self::print($heart['swing'], 1).' a minute with the breath' : null,
            ($heart['left_out'] ?? 0) > 0 ? $heart['left_out'].' of '.($heart['left_out'] + $heart['beats']).' beats left out' : null,
        ]);

        return $parts === [] ? null : ucfirst(implode(', ', $parts)).'.';
    }

    /** @param  array<string, mixed>  $heart */
    private static function best(Recording $recording, array $heart): ?string
    {
        if ($recording->kind !== RecordingKind::Pace) {
            return null;
        }
        if (! isset($heart['best'])) {
            return 'Too few heartbeats to compare paces: an oximeter that sends each beat is needed.';
        }
        $others = array_map(fn (float|int $pace) => self::print((float) $pace, 1), $heart['as_good'] ?? []);

        return 'The heart swings most at '.self::print($heart['best'], 1).' breaths a minute'
            .($others === [] ? '.' : '; '.implode(' and ', $others).' not clearly different.');
    }

    /** @param  array{from: float, lowest: float, seconds: int, below: int, fell: bool, later: float|null, still_low: bool}|null  $fall */
    private static function fall(?array $fall): ?string
    {
        if ($fall === null) {
            return null;
        }
        $later = match (true) {
            $fall['later'] === null => 'Nothing was measured a minute later.',
            $fall['still_low'] => 'A minute later it was still '.Numbers::print($fall['later']).' %.',
            default => 'A minute later it was '.Numbers::print($fall['later']).' %.',
        };
        $from = 'Saturation from '.Numbers::print($fall['from']).' to '.Numbers::print($fall['lowest']).' % in the hold, ';

        return $from.($fall['fell'] ? "4 points lower or more for {$fall['seconds']} s. " : 'no lasting fall. ').$later;
    }

    private static function print(float $value, int $places): string
    {
        return Numbers::print(round($value, $places), $places);
    }
}
