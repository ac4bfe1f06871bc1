<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Health\RedFlag;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Progress\Proposal\Worsening;

/** What the caseload looks at for one patient. */
final readonly class CaseloadFacts
{
    /**
     * @param  list<RedFlag>  $openRedFlags  without a recorded action
     * @param  int  $daysSinceAdded  whole days since the patient was added
     * @param  StopSymptom|null  $getHelp  a get-help symptom that nobody has looked at
     * @param  string|null  $pausedExercise  name of an exercise paused by rule, not looked at
     * @param  array{title: string, exercise: string, paused: bool}|null  $newFinding  the gravest that a new fact brought and nobody has
     *     looked at
     * @param  int|null  $screeningWaits  whole days since the patient sent answers that nobody has confirmed
     * @param  bool  $redFlagFromHome  the first open red flag was answered at home
     * @param  int  $keptAside  things that a signed-out device sent and nobody has looked at
     * @param  bool  $urgentAside  among them a practice that ended with a get-help symptom, or one that had not settled
     * @param  bool  $redFlagAside  among them answers with a yes to a red flag
     * @param  bool  $redFlagWaits  something was done about the open red flags, and practice waits
     * @param  array{rate: float, on: string}|null  $homeRate  an urgent rate tapped at home, and none measured since
     * @param  int  $stopsLately  practices stopped for a symptom in the last 7 days
     * @param  StopSymptom|null  $lastStop  the latest of them
     * @param  int  $presentGap  scheduled days in a row without practice, up to now
     * @param  float|null  $adherence  0–1 over the last 14 days; null when nothing was due
     * @param  int|null  $daysSinceAccess  whole days since access was made ready; null when there is none
     * @param  int|null  $reviewOverdue  days since the review date; null or below 1 when it is not overdue
     * @param  Worsening|null  $worse  the first thing that is reliably worse
     * @param  list<array{label: string, exercise: string, short: string}>  $proposals  that ask for a decision and have none yet
     * @param  string|null  $outcome  with which the last programme was closed; null when none was
     * @param  bool  $hasEnded  the programme's last day is over
     * @param  bool  $isMaintenance  the programme keeps up what an earlier one reached
     * @param  string|null  $archivedOn  when the patient was put away; null while they are not
     * @param  int  $lockedOut  devices of theirs on which the PIN was typed wrong too often
     */
    public function __construct(
        public bool $screened,
        public array $openRedFlags,
        public int $daysSinceAdded,
        public bool $hasProgramme,
        public ?StopSymptom $getHelp = null,
        public ?string $pausedExercise = null,
        public int $stopsLately = 0,
        public ?StopSymptom $lastStop = null,
        public int $presentGap = 0,
        public ?float $adherence = null,
        public int $dueLately = 0,
        public float $creditLately = 0.0,
        public ?int $daysSinceAccess = null,
        public bool $accessUsed = false,
        public ?int $reviewOverdue = null,
        public bool $hasEnded = false,
        public ?array $newFinding = null,
        public ?int $screeningWaits = null,
        public bool $redFlagFromHome = false,
        public int $keptAside = 0,
        public bool $urgentAside = false,
        public bool $redFlagAside = false,
        public bool $redFlagWaits = false,
        public ?array $homeRate = null,
        public ?Worsening $worse = null,
        public array $proposals = [],
        public ?string $outcome = null,
        public bool $isMaintenance = false,
        public ?string $archivedOn = null,
        public int $lockedOut = 0,
    ) {
    }
}
