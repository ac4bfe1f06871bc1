<?php

declare(strict_types=1);

namespace App\Pages\Course;

use App\Facts\SelfAnswers;
use Carbon\CarbonImmutable;

/** What patients answered after their practices, first and lately. */
final class SelfChecksOf
{
    private const EACH = 5;

    /** @return list<array{exercise: string, asked: string, first: string, lately: string, answers: int}> */
    public static function on(CourseReading $reading): array
    {
        $from = $reading->patient->clock()->startsAt($reading->from());

        return array_map(fn (SelfAnswers $of) => [
            'exercise' => $of->exercise, 'asked' => $of->check->label(), 'answers' => count($of->answers),
            'first' => SelfAnswers::inWords(array_slice($of->answers, 0, self::EACH)),
            'lately' => count($of->answers) > self::EACH ? SelfAnswers::inWords(array_slice($of->answers, -self::EACH)) : '',
        ], SelfAnswers::since($reading->programme, $from, CarbonImmutable::instance($reading->now)));
    }
}
