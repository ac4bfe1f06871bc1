<?php

declare(strict_types=1);

namespace App\Pages\Clinic;

use App\Facts\Caseload\CaseloadLines;
use App\Models\Clinic;
use App\Models\Programme;
use Carbon\CarbonImmutable;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Programme\Anchor;
use IvoryPace\Programme\Outcome;
use IvoryPace\Progress\ClinicOutcomes;

/** What became of a clinic's patients. */
final class OutcomesOf
{
    private const DAYS = 365;

    /** @return array<string, mixed> */
    public static function clinic(Clinic $clinic, CarbonImmutable $now): array
    {
        $figures = CaseloadLines::figures($clinic, $now);
        $names = [];
        foreach (Questionnaire::all() as $questionnaire) {
            $names[$questionnaire->key] = $questionnaire->name;
        }

        return [
            'least' => ClinicOutcomes::LEAST,
            'finished' => self::finished($clinic, $now),
            'forms' => array_map(
                fn (array $line) => [...$line, 'name' => $names[$line['form']] ?? $line['form']], ClinicOutcomes::forms($figures),
            ),
            'techniques' => array_map(
                fn (array $line) => [...$line, 'name' => Catalogue::get($line['key'])->name], ClinicOutcomes::techniques($figures),
            ),
            'anchors' => array_map(
                fn (array $line) => [...$line, 'name' => Anchor::from($line['key'])->label()], ClinicOutcomes::anchors($figures),
            ),
        ];
    }

    /**
     * @return array{programmes: int, outcomes: list<array{label: string, programmes: int}>} of the last year; none where they are too few
     */
    private static function finished(Clinic $clinic, CarbonImmutable $now): array
    {
        $counts = Programme::query()->join('patients', 'patients.id', '=', 'programmes.patient_id')
            ->where('patients.clinic_id', $clinic->id)->where('is_maintenance', false)
            ->where('closed_on', '>=', $now->subDays(self::DAYS)->format('Y-m-d'))->whereNotNull('outcome')
            ->selectRaw('outcome, count(*) as programmes')->groupBy('outcome')->toBase()->pluck('programmes', 'outcome')
            ->map(fn (mixed $count) => is_numeric($count) ? (int) $count : 0);
        $all = (int) $counts->sum();

        return ['programmes' => $all, 'outcomes' => $all < ClinicOutcomes::LEAST ? [] : array_values(array_filter(array_map(
            fn (Outcome $outcome) => ['label' => $outcome->label(), 'programmes' => $counts->get($outcome->value, 0)], Outcome::cases(),
        ), fn (array $line) => $line['programmes'] > 0))];
    }
}
