<?php

declare(strict_types=1);

namespace IvoryPace\Letter;

use IvoryPace\Progress\Evidence;
use IvoryPace\Progress\ThenNow;

/** What a record says that a letter may tell. Days are printed ones. */
final readonly class LetterFacts
{
    /**
     * @param  string  $name  of the patient
     * @param  string|null  $since  day of the first session; null before it
     * @param  int  $sessions  that were held
     * @param  list<string>  $conditions  what the screening found that matters here, as "COPD"
     * @param  string  $goal  in the patient's words; empty without one
     * @param  string  $rated  what is rated before and after practice; empty where nothing is
     * @param  list<MeasuredTwice>  $measures
     * @param  Evidence|null  $evidence  over the whole programme; null without one
     * @param  ThenNow|null  $beforePractice  what is rated, before practice, 0–10; null where too few days have a rating
     * @param  array<string, int>  $stops  how often practice was stopped, by symptom, most frequent first
     * @param  list<string>  $programme  each exercise in plain words
     * @param  string|null  $from  day from which the present version holds
     * @param  list<string>  $paused  exercises that are paused now
     * @param  list<string>  $concerns  red flags that are open, and what was found
     * @param  string|null  $outcome  of a programme that was closed
     * @param  string  $outcomeNote  what was written with it; may be empty
     * @param  string|null  $review  day of the next review
     * @param  string|null  $appointment  the next one, in words
     */
    public function __construct(
        public string $name,
        public string $born,
        public ?string $since = null,
        public int $sessions = 0,
        public array $conditions = [],
        public string $goal = '',
        public string $rated = '',
        public array $measures = [],
        public ?Evidence $evidence = null,
        public ?ThenNow $beforePractice = null,
        public array $stops = [],
        public array $programme = [],
        public ?string $from = null,
        public array $paused = [],
        public array $concerns = [],
        public ?string $outcome = null,
        public string $outcomeNote = '',
        public ?string $review = null,
        public ?string $appointment = null,
    ) {
    }
}
