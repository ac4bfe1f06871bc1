<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

/** What happened in a clinic in one quarter, as it was counted. */
final readonly class QuarterNumbers
{
    /**
     * @param  int  $begun  patients whose programme began
     * @param  array<string, int>  $closed  programmes that were closed, by outcome, each outcome there
     * @param  array<string, array<string, int>>  $changes  of closed programmes, from first to last answers: how many changed how, by
     *     questionnaire and class of the change; what nobody answered twice is left out
     * @param  int  $seen  patients who had a session
     * @param  int  $practised  patients who practised
     * @param  int  $stops  practices that were stopped for a symptom
     * @param  int  $seconds  that were practised
     * @param  int  $raised  patients with a red flag that was raised
     */
    public function __construct(
        public int $begun,
        public array $closed,
        public array $changes,
        public int $seen,
        public int $sessions,
        public int $practised,
        public int $practices,
        public int $stops,
        public int $seconds,
        public int $raised,
    ) {
    }
}
