<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use Carbon\CarbonImmutable;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Practice\DayTally;
use IvoryPace\Practice\DuePractices;
use IvoryPace\Practice\Windows;

/** The days and exercises for which ticks on the printed sheet can be entered. */
final class PaperGrid
{
    public const DAYS = Windows::TALLY_DAYS;

    /**
     * @return array{
     *     days: list<array{date: string, label: string}>,
     *     rows: list<array{lineage: string, name: string, days: list<array{planned: int, known: int}>}>,
     *     symptoms: list<array{value: string, label: string}>
     * } oldest day first
     */
    public static function of(Patient $patient, Programme $programme, EvidenceOf $evidence, CarbonImmutable $now): array
    {
        $today = $patient->dayOf($now);
        $from = $today->plusDays(1 - self::DAYS);
        $from = $from->isBefore($programme->history()->firstDay()) ? $programme->history()->firstDay() : $from;
        $days = $from->through($today);
        $due = new DuePractices($programme->history(), $patient->clock());
        $rows = [];
        foreach ($programme->latestVersion()->items ?? [] as $row) {
            if ($row->item()->plan !== null) {
                $rows[] = [
                    'lineage' => $row->lineage, 'name' => $row->item()->name(),
                    'days' => self::days($row, $due, $evidence->adherence->ofItem($row->lineage, $from, $today)->days),
                ];
            }
        }

        return ['days' => array_map(
            fn ($day) => ['date' => $day->date, 'label' => CarbonImmutable::parse($day->date)->format('D j')], $days,
        ), 'rows' => $rows,
            'symptoms' => array_map(
                fn (StopSymptom $symptom) => ['value' => $symptom->value, 'label' => $symptom->label()], StopSymptom::cases(),
            )];
    }

    /**
     * @param  list<DayTally>  $tallies
     * @return list<array{planned: int, known: int}>
     */
    private static function days(ProgrammeItem $row, DuePractices $due, array $tallies): array
    {
        return array_map(fn (DayTally $day) => [
            'planned' => $due->countOf($day->day, $row->lineage),
            'known' => count(array_filter($day->strokes, fn ($stroke) => in_array($stroke->letter(), ['d', 'p', 's', 'x'], true))),
        ], $tallies);
    }
}
