<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\DiaryOnFile;
use App\Facts\OnFile;
use App\Facts\PracticeOnFile;
use App\Models\ChosenSymptom;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Progress\Trend\DaysWithAndWithout;
use IvoryPace\Progress\Trend\SymptomTrend;

/** What the diary says over time, symptom by symptom. */
final class TrendsOf
{
    /**
     * @return list<array{name: string, trend: string, days: string|null}>
     */
    public static function on(OnFile $file, PatientDay $first): array
    {
        $entries = array_filter($file->diary, fn (DiaryOnFile $entry) => ! $entry->day->isBefore($first));
        $practised = array_values(array_unique(array_map(fn (PracticeOnFile $practice) => $practice->day->date, $file->practices)));
        $line = function (string $name, callable $value) use ($entries, $first, $practised): ?array {
            $byDay = $byDate = [];
            foreach ($entries as $entry) {
                $rating = $value($entry);
                if ($rating !== null) {
                    $byDay[$first->daysUntil($entry->day)] = $byDate[$entry->day->date] = (int) $rating;
                }
            }

            return $byDay === []
                ? null
                : [
                    'name' => $name, 'trend' => SymptomTrend::sentence($byDay),
                    'days' => DaysWithAndWithout::of($byDate, $practised)?->sentence(),
                ];
        };
        $lines = $file->symptoms
            ->map(fn (ChosenSymptom $symptom) => $line(ucfirst($symptom->name), fn (DiaryOnFile $entry) => $entry->rating($symptom)))
            ->push($line('Sleep', fn (DiaryOnFile $entry) => $entry->sleep));

        return array_values(array_filter($lines->all()));
    }
}
