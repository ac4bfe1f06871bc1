<?php

declare(strict_types=1);

namespace App\Facts\Caseload;

use App\Facts\EvidenceOf;
use App\Facts\OnFile;
use App\Facts\PracticeOnFile;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Practice\Share;
use IvoryPace\Progress\Proposal\Proposal;

/** A patient's part in the clinic's outcomes, of the running programme and as far back as a proposal looks. */
final class OutcomeFigures
{
    /**
     * @return array{techniques: array<string, array{due: int, credit: float, practices: int, stops: int}>, anchors: array<string,
     * array{due: int, credit: float}>, forms: array<string, string>}
     */
    public static function on(OnFile $file, ?EvidenceOf $evidence): array
    {
        $from = $file->today->plusDays(-Proposal::MOST_DAYS);
        $techniques = [];
        foreach ($file->programme?->latestVersion()->items ?? [] as $row) {
            if ($row->item()->routine !== null || $evidence === null) {
                continue;
            }
            $key = $row->item()->prescription->technique->key;
            $result = $evidence->adherence->ofItem($row->lineage, $from, $file->today);
            $done = $evidence->practicesOf($row, $from);
            $sum = $techniques[$key] ?? ['due' => 0, 'credit' => 0.0, 'practices' => 0, 'stops' => 0];
            $techniques[$key] = [
                'due' => $sum['due'] + $result->due, 'credit' => $sum['credit'] + $result->credit,
                'practices' => $sum['practices'] + count($done),
                'stops' => $sum['stops'] + count(array_filter($done, fn (PracticeOnFile $practice) => $practice->isStoppedForSymptom())),
            ];
        }

        return [
            'techniques' => $techniques,
            'anchors' => array_map(
                fn (Share $share) => ['due' => $share->due, 'credit' => $share->credit],
                $evidence?->adherence->byAnchor($from, $file->today) ?? [],
            ),
            'forms' => self::forms($file),
        ];
    }

    /** @return array<string, string> class of the change from the first to the last answers, by questionnaire */
    private static function forms(OnFile $file): array
    {
        $classes = [];
        foreach (Questionnaire::all() as $questionnaire) {
            $forms = $file->scored->where('form', $questionnaire->key);
            $then = $forms->first()?->score;
            $now = $forms->last()?->score;
            if ($forms->count() > 1 && $then !== null && $now !== null) {
                $classes[$questionnaire->key] = $questionnaire->change(
                    $then, $now, $file->patient->clinic->reliabilities()->of($questionnaire),
                )->value;
            }
        }

        return $classes;
    }
}
