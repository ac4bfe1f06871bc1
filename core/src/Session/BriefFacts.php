<?php

declare(strict_types=1);

namespace IvoryPace\Session;

use IvoryPace\Progress\Evidence;

/** What happened to a patient since the last session. */
final readonly class BriefFacts
{
    /**
     * @param  int|null  $daysSinceLast  whole days since the last session began; null when this is the first
     * @param  Evidence|null  $evidence  over all exercises since then; null without a programme
     * @param  string|null  $ratedSymptom  what is rated before and after
     * @param  array<string, int>  $stops  how often, by symptom, most frequent first
     * @param  int  $longestGap  scheduled days in a row without practice
     * @param  list<string>  $remarks  the patient's own, latest first
     * @param  list<string>  $openRedFlags  labels
     * @param  list<string>  $newFindings  titles that nobody has looked at
     * @param  int  $pausedExercises  paused by rule
     * @param  list<array{name: string, score: string, band: string, change: string|null}>  $questionnaires  completed since then
     * @param  int|null  $screeningDays  whole days since the latest screening; null when there is none
     * @param  bool  $screeningWaits  the patient has sent answers that nobody has confirmed
     * @param  int|null  $reviewOverdue  days since the review was due; null or below 1 when it is not
     * @param  list<array{exercise: string, asked: string, answers: string, times: int}>  $selfChecks  what the patient answered after
     *     practices
     * @param  list<array{habit: string, ticks: int, agreed: int}>  $habits  ticks, and how many a day were agreed
     * @param  list<array{what: string, found: string}>  $lifted  pauses that somebody has looked at, and what was found; latest first
     * @param  int  $slight  practices with a slight and passing symptom
     */
    public function __construct(
        public ?int $daysSinceLast = null,
        public ?Evidence $evidence = null,
        public ?string $ratedSymptom = null,
        public array $stops = [],
        public int $longestGap = 0,
        public array $remarks = [],
        public array $openRedFlags = [],
        public array $newFindings = [],
        public int $pausedExercises = 0,
        public array $questionnaires = [],
        public ?int $screeningDays = null,
        public bool $screeningWaits = false,
        public ?int $reviewOverdue = null,
        public int $slight = 0,
        public array $selfChecks = [],
        public array $habits = [],
        public array $lifted = [],
    ) {
    }
}
