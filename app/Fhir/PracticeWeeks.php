<?php

declare(strict_types=1);

namespace App\Fhir;

use App\Facts\PracticeOnFile;
use App\Models\Patient;
use App\Models\Practice;
use IvoryPace\Calendar\PatientDay;
use stdClass;

/** What was practised, week by week: Monday to Sunday of the patient's days. Each practice stands in practices.csv. */
final class PracticeWeeks
{
    private const MOST = 50000;

    public static function add(Bundle $bundle, Patient $patient): void
    {
        $clock = $patient->clock();
        $weeks = [];
        $rows = Practice::query()->toBase()->where('patient_id', $patient->id)->orderBy('started_at')->orderBy('id')
            ->limit(self::MOST)->get(PracticeOnFile::COLUMNS);
        foreach ($rows as $row) {
            /** @var stdClass $row */
            $practice = PracticeOnFile::read($row, $clock);
            if ($practice->record->isCredited()) {
                $monday = $practice->day->plusDays(1 - $practice->day->weekday()->value)->date;
                $week = $weeks[$monday] ?? ['practices' => 0, 'seconds' => 0, 'stopped' => 0];
                $weeks[$monday] = [
                    'practices' => $week['practices'] + 1, 'seconds' => $week['seconds'] + (int) $row->seconds_done,
                    'stopped' => $week['stopped'] + ($practice->isStoppedForSymptom() ? 1 : 0),
                ];
            }
        }
        foreach ($weeks as $monday => $week) {
            $bundle->add('Observation', "week $monday", self::week($bundle, $monday, $week));
        }
    }

    /**
     * @param  array{practices: int, seconds: int, stopped: int}  $week
     * @return array<string, mixed>
     */
    private static function week(Bundle $bundle, string $monday, array $week): array
    {
        return [
            'status' => 'final',
            'category' => [Said::term('observation-category', 'activity')],
            'code' => Said::concept('Breathing practice at home in a week'),
            'subject' => $bundle->to('Patient', 0),
            'effectivePeriod' => ['start' => $monday, 'end' => PatientDay::of($monday)->plusDays(6)->date],
            'component' => [
                ['code' => Said::concept('Practices'), 'valueInteger' => $week['practices']],
                [
                    'code' => Said::concept('Time practised'),
                    'valueQuantity' => Said::quantity(round($week['seconds'] / 60, 1), 'minutes', 'min'),
                ],
                ['code' => Said::concept('Practices stopped for a symptom'), 'valueInteger' => $week['stopped']],
            ],
        ];
    }
}
