<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\Measurement;
use App\Models\Patient;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\RibExpansion;
use stdClass;

/** Last and first value of each measure, and how they were taken. */
final class MeasureSheet
{
    private const MOST = 500;

    /** @return list<array<string, mixed>> one for each measure, then one for each chosen symptom */
    public static function of(Patient $patient): array
    {
        $all = Measurement::query()->where('patient_id', $patient->id)->with('practitioner')
            ->orderByDesc('measured_at')->orderByDesc('id')->limit(self::MOST)->get()
            ->groupBy(fn (Measurement $each) => self::key($each->measure, $each->chosen_symptom_id));
        $all = $all->map(fn ($values) => array_values($values->all()))->all();
        $symptoms = array_values($patient->symptoms()->limit(ChosenSymptom::MOST)->get()->all());

        return [
            ...array_map(fn (Measure $measure) => self::row($measure, null, $all, $patient), Measure::ofEveryone()),
            ...array_map(fn (ChosenSymptom $symptom) => self::row(Measure::Symptom, $symptom, $all, $patient), $symptoms),
        ];
    }

    private static function key(Measure $measure, ?int $symptom): string
    {
        return $symptom === null ? $measure->value : "{$measure->value}-$symptom";
    }

    /**
     * @param  array<array-key, list<Measurement>>  $all  latest first
     * @return array<string, mixed>
     */
    private static function row(Measure $measure, ?ChosenSymptom $symptom, array $all, Patient $patient): array
    {
        $key = self::key($measure, $symptom?->id);
        $values = $all[$key] ?? [];
        $last = $values[0] ?? null;
        $first = count($values) > 1 ? $values[count($values) - 1] : null;

        return [
            'key' => $key, 'measure' => $measure->value, 'how' => $measure->how()->value, 'symptom' => $symptom?->id,
            'label' => $symptom === null ? $measure->label() : ucfirst($symptom->name), 'unit' => $measure->unit(),
            'possible' => $measure->possible(),
            'last' => $last === null ? null : self::value($last, $patient),
            'before' => isset($values[1]) ? self::value($values[1], $patient) : null,
            'first' => $first === null ? null : self::value($first, $patient),
            'comparable' => $last === null || $first === null || (
                $last->position === $first->position && self::isSameMethod($last, $first)
            ),
        ];
    }

    /** The best of two tries compares with the best of three; a tape round the armpits does not with one round the lower ribs. */
    private static function isSameMethod(Measurement $a, Measurement $b): bool
    {
        $kind = fn (Measurement $each) => (string) preg_replace('/ \d+$/', '', $each->method);

        // Where nothing is said, as with what was measured before it was asked, it lay round the lower ribs.
        $level = fn (Measurement $each) => $each->details['level'] ?? RibExpansion::LEVELS[0];

        return $kind($a) === $kind($b) && $level($a) === $level($b);
    }

    /** Questionnaires whose score the rules look at. */
    private const SCORES = ['nijmegen', 'mmrc'];

    /**
     * What the rules look at, in one query: it is asked at every key press on the Bench.
     *
     * @return array<string, stdClass> the latest of each, by measure or questionnaire: value, at, details
     */
    public static function latest(Patient $patient): array
    {
        $scores = AskedForm::query()->toBase()->selectRaw('form as measure, score as value, completed_at as at, 0 as id, null as details')
            ->where('patient_id', $patient->id)->whereIn('form', self::SCORES)->whereNotNull('completed_at')->whereNotNull('score');
        $rows = Measurement::query()->toBase()
            ->selectRaw(
                'measure, value, measured_at as at, id, if(measure = ?, details, null) as details', [Measure::SaturationFall->value],
            )
            ->where('patient_id', $patient->id)
            ->whereIn('measure', array_map(fn (Measure $measure) => $measure->value, Measure::ofRules()))
            ->unionAll($scores)->orderByDesc('at')->orderByDesc('id')->limit(self::MOST)->get();
        $latest = [];
        foreach ($rows as $row) {
            $latest[(string) $row->measure] ??= $row;
        }

        return $latest;
    }

    /** @return array<string, mixed> */
    private static function value(Measurement $measurement, Patient $patient): array
    {
        return [
            'value' => $measurement->value, 'words' => $measurement->details['words'] ?? null,
            'position' => $measurement->position->label(), 'method' => $measurement->method,
            'at' => $measurement->measured_at->toIso8601ZuluString(),
            'on' => $measurement->measured_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            'by' => $measurement->practitioner->name,
        ];
    }
}
