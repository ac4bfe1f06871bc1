<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

use IvoryPace\Fraction;
use IvoryPace\Progress\Felt;

/** What is known of an exercise since its last change. What was not rated is missing, never good. */
final readonly class ProposalFacts
{
    /**
     * @param  string|null  $getHelp  the get-help symptom that nobody has looked at
     * @param  Worsening|null  $worse  what is worse
     * @param  int  $days  whole days since the last change
     * @param  int  $practices  in the window
     * @param  int  $stops  of them, stopped for a symptom
     * @param  list<int>  $efforts  0–10, of rated practices
     * @param  list<bool>  $smooth  of rated practices, whether smooth
     * @param  list<array{int, int}>  $ratings  symptom before and after, of practices with both
     * @param  Fraction|null  $adherence  0–1; null when nothing was due
     * @param  int  $goalDays  days in a row, up to now, with the goal's measure at its target; 0 without a goal
     * @param  int  $gateDays  days that the technique asks for before a next step
     * @param  bool  $isAtCap  there is no next rung
     * @param  bool  $isMaintenance  it is kept up after a finished programme
     * @param  bool  $ratesSymptom  a symptom is rated before and after practice
     * @param  int  $slight  practices with a slight symptom that passed
     * @param  int  $neededLately  uses as needed in the last 7 days
     * @param  int  $neededBefore  in the 7 days before
     * @param  int|null  $daysSinceStop  since the latest stop for a symptom of any exercise; null when there was none
     * @param  string  $heldBackBy  the measured value that keeps it from its next rung, in words; empty when none does
     * @param  int|null  $measuredDaysAgo  days since that value was measured; null when it never was
     * @param  int  $calmDays  days that the next rung asks for without a stop and without a pause
     * @param  list<Felt>  $felt  of each measured practice
     * @param  int|null  $daysSincePause  since the latest pause of the exercise ended, 0 while it goes on; null when there was none
     */
    public function __construct(
        public ?string $getHelp = null,
        public ?Worsening $worse = null,
        public int $days = 0,
        public int $practices = 0,
        public int $stops = 0,
        public array $efforts = [],
        public array $smooth = [],
        public array $ratings = [],
        public ?Fraction $adherence = null,
        public int $goalDays = 0,
        public int $gateDays = 7,
        public bool $isAtCap = false,
        public bool $isMaintenance = false,
        public bool $ratesSymptom = true,
        public int $slight = 0,
        public int $neededLately = 0,
        public int $neededBefore = 0,
        public ?int $daysSinceStop = null,
        public string $heldBackBy = '',
        public ?int $measuredDaysAgo = null,
        public int $calmDays = 0,
        public ?int $daysSincePause = null,
        public array $felt = [],
    ) {
    }
}
