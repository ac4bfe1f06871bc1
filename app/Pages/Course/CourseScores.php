<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\OnFile;
use App\Models\AskedForm;
use IvoryPace\Assessment\Questionnaire;
use IvoryPace\Calendar\PatientDay;

/** What questionnaires scored, day by day; those that the clinic brought along stand last. */
final class CourseScores
{
    /**
     * @return list<array{
     *     name: string, least: float|int, most: float|int, of: Questionnaire|null, points: list<array{day: PatientDay, value: float}>
     * }>
     */
    public static function since(PatientDay $first, OnFile $file): array
    {
        $lines = [];
        $shipped = Questionnaire::all();
        $order = array_flip(array_column($shipped, 'key'));
        foreach ($file->scored->groupBy('form')->sortBy(fn ($forms, $key) => $order[$key] ?? count($order)) as $key => $forms) {
            $points = [];
            foreach ($forms as $form) {
                $day = $form->completed_at === null ? null : $file->patient->dayOf($form->completed_at);
                if ($day !== null && $form->score !== null && ! $day->isBefore($first)) {
                    $points[] = ['day' => $day, 'value' => $form->score];
                }
            }
            $of = $shipped[$order[$key] ?? -1] ?? null;
            // One that was brought along says its name itself.
            $own = $of === null && $points !== [] ? AskedForm::query()->find($forms->last()?->id)?->own() : null;
            $name = $of->name ?? $own?->title;
            if ($points !== [] && $name !== null) {
                $lines[] = [
                    'name' => $name, 'least' => $own?->lowest() ?? 0, 'most' => $of?->highest() ?? $own?->highest() ?? 0, 'of' => $of,
                    'points' => $points,
                ];
            }
        }

        return $lines;
    }
}
