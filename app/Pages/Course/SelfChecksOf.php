<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Models\Practice;
use IvoryPace\Programme\SelfCheck;

/** What patients answered after their practices, first and lately: their own word, beside what is measured in the room. */
final class SelfChecksOf
{
    private const EACH = 5;

    /** A year of three practices a day. */
    private const MOST = 1200;

    /** @return list<array{exercise: string, asked: string, first: string, lately: string, answers: int}> */
    public static function on(CourseReading $reading): array
    {
        $practices = Practice::query()->where('patient_id', $reading->patient->id)
            ->where('started_at', '>=', $reading->patient->clock()->startsAt($reading->from()))->where('started_at', '<=', $reading->now)
            ->whereIn('programme_version_id', $reading->programme->versions->modelKeys())->whereNotNull('self_checks')
            ->orderByDesc('started_at')->limit(self::MOST)->get(['id', 'lineage', 'self_checks'])->reverse();
        $lines = [];
        foreach ($practices->groupBy('lineage') as $lineage => $ofOne) {
            foreach (SelfCheck::cases() as $check) {
                $answers = array_values(array_filter($ofOne->map(
                    fn (Practice $practice) => $practice->self_checks[$check->value] ?? null,
                )->all(), is_string(...)));
                if ($answers !== []) {
                    $lines[] = [
                        'exercise' => $reading->lines()->nameOf((string) $lineage), 'asked' => $check->label(),
                        'answers' => count($answers),
                        'first' => self::inWords(array_slice($answers, 0, self::EACH)),
                        'lately' => count($answers) > self::EACH ? self::inWords(array_slice($answers, -self::EACH)) : '',
                    ];
                }
            }
        }

        return $lines;
    }

    /** @param  list<string>  $answers  "belly 3, chest 2" */
    private static function inWords(array $answers): string
    {
        $times = array_count_values($answers);
        arsort($times);

        return implode(', ', array_map(fn (string $answer, int $count) => "$answer $count", array_keys($times), $times));
    }
}
