<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;
use IvoryPace\Progress\PeriodSummary;
use IvoryPace\Progress\TwoPeriods;

/** Two stretches of the programme side by side. */
final class PeriodsOf
{
    private const DAYS = 14;

    private const MOST_DAYS = 366;

    /**
     * @param  array<string, mixed>  $asked  first, second: dates; days. What cannot be read is as usual: two weeks, or half of what there
     *     is
     * @return array<string, mixed>
     */
    public static function on(OnFile $file, EvidenceOf $evidence, PatientDay $from, array $asked): array
    {
        $given = $asked['days'] ?? null;
        $days = is_string($given) && ctype_digit($given) && strlen($given) < 4 && (int) $given >= 1 && (int) $given <= self::MOST_DAYS
            ? (int) $given
            : min(self::DAYS, max(1, intdiv($from->daysUntil($file->today) + 1, 2)));
        $first = self::day($asked['first'] ?? null) ?? $from;
        $second = self::day($asked['second'] ?? null) ?? $file->today->plusDays(1 - $days);
        $rated = $file->programme?->latestVersion()->rated_symptom ?? '';

        return [
            'first' => $first->date, 'second' => $second->date, 'days' => $days,
            'overlap' => ! $second->isAfter($first->plusDays($days - 1)) && ! $first->isAfter($second->plusDays($days - 1)),
            'lines' => TwoPeriods::lines(
                self::period($file, $evidence, $first, $days), self::period($file, $evidence, $second, $days), $rated,
            ),
        ];
    }

    private static function period(OnFile $file, EvidenceOf $evidence, PatientDay $from, int $days): PeriodSummary
    {
        $to = $from->plusDays($days - 1);
        $ratings = [];
        foreach ($file->diary as $entry) {
            if ($entry->day->isBefore($from) || $entry->day->isAfter($to)) {
                continue;
            }
            foreach ($file->symptoms as $symptom) {
                self::add($ratings, ucfirst($symptom->name), $entry->rating($symptom));
            }
            self::add($ratings, 'Sleep', $entry->sleep);
        }

        return new PeriodSummary($from, $to, $evidence->from($from, $to), $ratings);
    }

    /** @param  array<string, list<int|float>>  $ratings */
    private static function add(array &$ratings, string $what, ?int $rating): void
    {
        if ($rating !== null) {
            $ratings[$what][] = $rating;
        }
    }

    private static function day(mixed $date): ?PatientDay
    {
        try {
            return is_string($date) ? PatientDay::of($date) : null;
        } catch (InvalidValue) {
            return null;
        }
    }
}
