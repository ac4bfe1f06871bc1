<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\OnFile;
use App\Facts\PracticeOnFile;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Median;

/** How far the breath went with what was led, on the days of which a device measured a practice. */
final class CourseFelt
{
    /** @return list<array{day: string, share: float, lag: float|null, ratio: float|null, practices: int}> s and parts, in order */
    public static function since(PatientDay $first, OnFile $file): array
    {
        $days = [];
        foreach ($file->practices as $practice) {
            if ($practice->felt !== null && $practice->record->isCredited() && ! $practice->day->isBefore($first)) {
                $days[$practice->day->date][] = $practice;
            }
        }

        return array_map(self::day(...), array_keys($days), array_values($days));
    }

    /**
     * @param  non-empty-list<PracticeOnFile>  $practices
     * @return array{day: string, share: float, lag: float|null, ratio: float|null, practices: int}
     */
    private static function day(string $day, array $practices): array
    {
        $felt = array_values(array_filter(array_map(fn (PracticeOnFile $practice) => $practice->felt, $practices)));
        $middle = function (array $values, int $places): ?float {
            $values = array_values(array_filter($values, fn (mixed $value) => $value !== null));

            return $values === [] ? null : round(Median::of($values), $places);
        };

        return [
            'day' => $day,
            'share' => round(array_sum(array_column($felt, 'followed')) / max(1, array_sum(array_column($felt, 'seen'))), 2),
            'lag' => $middle(array_map(fn ($each) => $each->lag, $felt), 1),
            'ratio' => $middle(array_map(fn ($each) => $each->ratio, $felt), 2),
            'practices' => count($practices),
        ];
    }
}
