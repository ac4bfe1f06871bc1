<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use App\Models\Practice;
use IvoryPace\Practice\PatientDay;
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
        $entries = $file->diary->filter(fn (DiaryEntry $entry) => ! $entry->patientDay()->isBefore($first));
        $practised = array_values($file->practices->map(fn (Practice $practice) => $file->patient->dayOf($practice->started_at)->date)->unique()->all());
        $line = function (string $name, callable $value) use ($entries, $first, $practised): ?array {
            $byDay = $byDate = [];
            foreach ($entries as $entry) {
                $rating = $value($entry);
                if ($rating !== null) {
                    $day = $entry->patientDay();
                    $byDay[$first->daysUntil($day)] = $byDate[$day->date] = (int) $rating;
                }
            }

            return $byDay === [] ? null : ['name' => $name, 'trend' => SymptomTrend::sentence($byDay), 'days' => DaysWithAndWithout::of($byDate, $practised)?->sentence()];
        };
        $lines = $file->symptoms
            ->map(fn (ChosenSymptom $symptom) => $line(ucfirst($symptom->name), fn (DiaryEntry $entry) => $entry->rating($symptom)))
            ->push($line('Sleep', fn (DiaryEntry $entry) => $entry->content['sleep']));

        return array_values(array_filter($lines->all()));
    }
}
