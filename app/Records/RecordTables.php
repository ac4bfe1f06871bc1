<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;

/** What was practised, written and measured, as tables. Times are the patient's. */
final class RecordTables
{
    private const MOST = 50000;

    /** @return array<string, string> by name of the file */
    public static function of(Patient $patient): array
    {
        return [
            'practices.csv' => self::practices($patient), 'diary.csv' => self::diary($patient), 'measures.csv' => self::measures($patient),
        ];
    }

    private static function practices(Patient $patient): string
    {
        $names = [];
        $versions = ProgrammeVersion::query()->whereIn('programme_id', $patient->programmes()->select('id'))->with('items')
            ->orderBy('id')->limit(self::MOST)->get();
        foreach ($versions->flatMap(fn (ProgrammeVersion $version) => $version->items) as $row) {
            /** @var ProgrammeItem $row */
            $names[$row->lineage] = $row->item()->name();
        }
        $practices = Practice::withStruck()->where('patient_id', $patient->id)->orderBy('started_at')->orderBy('id')
            ->limit(self::MOST)->get();

        return Csv::of([
            'day', 'started', 'exercise', 'breaths done', 'breaths prescribed', 'time done (s)', 'time prescribed (s)', 'before (0-10)',
            'after (0-10)', 'effort (0-10)', 'smooth', 'stopped for', 'remark', 'counts',
        ], $practices->map(fn (Practice $practice) => [
            $patient->dayOf($practice->started_at)->date, self::time($practice->started_at, $patient),
            $names[$practice->lineage] ?? 'recovery', $practice->breaths_done, $practice->breaths_prescribed, $practice->seconds_done,
            $practice->seconds_prescribed, $practice->before, $practice->after, $practice->effort, $practice->smooth,
            $practice->stop_symptom?->label() ?? ($practice->stop_class === null ? null : 'a symptom'), $practice->remark,
            $practice->struck_at !== null ? 'taken back' : ($practice->record()->isCredited() ? 'yes' : 'doubted'),
        ]));
    }

    private static function diary(Patient $patient): string
    {
        $symptoms = ChosenSymptom::query()->where('patient_id', $patient->id)->orderBy('id')->limit(100)->get();
        $days = DiaryEntry::query()->where('patient_id', $patient->id)->orderBy('day')->orderBy('id')->limit(self::MOST)->get();

        $names = array_values($symptoms->map(fn (ChosenSymptom $symptom) => "{$symptom->name} (0-10)")->all());

        return Csv::of(
            ['day', ...$names, 'sleep (0-10)', 'text'],
            $days->map(fn (DiaryEntry $entry) => [
                $entry->day->format('Y-m-d'),
                ...array_values($symptoms->map(fn (ChosenSymptom $symptom) => $entry->content['ratings'][$symptom->id] ?? null)->all()),
                $entry->content['sleep'] ?? null, $entry->content['text'] ?? null,
            ]),
        );
    }

    private static function measures(Patient $patient): string
    {
        $all = Measurement::withStruck()->where('patient_id', $patient->id)->with('symptom')->orderBy('measured_at')->orderBy('id')
            ->limit(self::MOST)->get();

        return Csv::of(['measured', 'what', 'value', 'unit', 'position', 'method', 'counts'], $all->map(fn (Measurement $each) => [
            self::time($each->measured_at, $patient), $each->symptom->name ?? $each->measure->label(), $each->value, $each->measure->unit(),
            $each->position->label(), $each->method, $each->struck_at === null ? 'yes' : 'struck',
        ]));
    }

    private static function time(CarbonImmutable $at, Patient $patient): string
    {
        return $at->setTimezone($patient->time_zone)->format('Y-m-d\TH:i:sP');
    }
}
