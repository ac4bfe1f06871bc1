<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use App\Models\Patient;
use App\Models\Practice;
use Illuminate\Support\Collection;
use IvoryPace\Practice\PatientDay;
use IvoryPace\Progress\Trend\DaysWithAndWithout;
use IvoryPace\Progress\Trend\SymptomTrend;

/** What the diary says over the time of a programme, symptom by symptom. */
final class TrendsOf
{
    private const MOST_DAYS = 400;

    /**
     * @param  Collection<int, Practice>  $practices
     * @return list<array{name: string, trend: string, days: string|null}>
     */
    public static function patient(Patient $patient, PatientDay $first, Collection $practices): array
    {
        $entries = $patient->diary()->where('day', '>=', $first->date)->orderBy('day')->limit(self::MOST_DAYS)->get();
        $practised = array_values($practices->map(fn (Practice $practice) => $patient->dayOf($practice->started_at)->date)->unique()->all());
        $line = function (string $name, callable $value) use ($entries, $first, $practised): ?array {
            $byDay = $byDate = [];
            foreach ($entries as $entry) {
                $rating = $value($entry);
                if ($rating !== null) {
                    $date = $entry->day->format('Y-m-d');
                    $byDay[$first->daysUntil(PatientDay::of($date))] = $byDate[$date] = (int) $rating;
                }
            }

            return $byDay === [] ? null : ['name' => $name, 'trend' => SymptomTrend::sentence($byDay), 'days' => DaysWithAndWithout::of($byDate, $practised)?->sentence()];
        };
        $lines = $patient->symptoms()->limit(ChosenSymptom::MOST)->get()
            ->map(fn (ChosenSymptom $symptom) => $line(ucfirst($symptom->name), fn (DiaryEntry $entry) => $entry->content['ratings'][$symptom->id] ?? null))
            ->push($line('Sleep', fn (DiaryEntry $entry) => $entry->content['sleep']));

        return array_values(array_filter($lines->all()));
    }
}
