<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Numbers;

/** Why this patient stands here: the reason, and one sentence with its number. */
final readonly class CaseloadLine
{
    /** Scheduled days without practice from which the patient needs a word. */
    public const GAP_DAYS = 5;

    private function __construct(public CaseloadReason $reason, public string $number, public string $sentence)
    {
    }

    /** The first reason that fits, most urgent first. */
    public static function for(CaseloadFacts $facts): self
    {
        return match (true) {
            $facts->redFlagAside => new self(
                CaseloadReason::RedFlag, 'A red flag', 'among answers from a signed-out device; look at them on the Access page now.',
            ),
            $facts->openRedFlags !== [] => self::redFlag($facts),
            $facts->getHelp !== null => new self(
                CaseloadReason::GetHelp, ucfirst($facts->getHelp->label()),
                'stopped a practice; every exercise is paused until you have looked.',
            ),
            $facts->urgentAside => new self(
                CaseloadReason::GetHelp, 'Needed help', 'says a practice from a signed-out device; accept or refuse it on the Access page.',
            ),
            $facts->archivedOn !== null => new self(CaseloadReason::Archived, 'Archived', "on {$facts->archivedOn}."),
            $facts->pausedExercise !== null => new self(
                CaseloadReason::Paused, ucfirst($facts->lastStop?->label() ?? 'a symptom').' twice',
                "in the last 3 practices; {$facts->pausedExercise} is paused.",
            ),
            $facts->newFinding !== null => new self(
                CaseloadReason::NewFinding, $facts->newFinding['title'],
                $facts->newFinding['paused']
                    ? "after a new answer; {$facts->newFinding['exercise']} is paused until you have looked."
                    : "after a new answer, for {$facts->newFinding['exercise']}.",
            ),
            $facts->worse !== null => new self(
                CaseloadReason::Worse, $facts->worse->number(), "is how {$facts->worse->what} went; it {$facts->worse->how()}.",
            ),
            $facts->homeRate !== null => new self(
                CaseloadReason::HomeRate, Numbers::print($facts->homeRate['rate']).' a minute',
                "tapped at home on {$facts->homeRate['on']}; measure it yourself.",
            ),
            $facts->screeningWaits !== null => new self(
                CaseloadReason::ScreeningWaiting, self::days($facts->screeningWaits),
                'since the patient sent the screening; it waits for you to confirm it.',
            ),
            $facts->keptAside > 0 => new self(
                CaseloadReason::KeptAside, $facts->keptAside === 1 ? '1 entry' : "{$facts->keptAside} entries",
                'from a signed-out device; accept or refuse on the Access page.',
            ),
            ! $facts->hasProgramme => self::withoutProgramme($facts),
            $facts->lastStop !== null => new self(
                CaseloadReason::StoppedOnce, ucfirst($facts->lastStop->label()),
                $facts->stopsLately === 1
                    ? 'stopped one practice in the last 7 days.'
                    : "was the latest of {$facts->stopsLately} stops in the last 7 days.",
            ),
            $facts->lockedOut > 0 => new self(
                CaseloadReason::LockedOut, 'Locked out', 'of the phone after too many wrong PINs; make a new link for the patient.',
            ),
            $facts->presentGap >= self::GAP_DAYS && $facts->accessUsed => new self(
                CaseloadReason::NoPractice, "{$facts->presentGap} days", 'in a row without practice.',
            ),
            ! $facts->accessUsed && $facts->daysSinceAccess === null => new self(
                CaseloadReason::AccessUnused, 'No access', 'to the home practice yet; make a link for the patient.',
            ),
            ! $facts->accessUsed => new self(
                CaseloadReason::AccessUnused, self::days((int) $facts->daysSinceAccess), 'since the access was made; it has not been used.',
            ),
            $facts->reviewOverdue !== null && $facts->reviewOverdue > 0 => new self(
                CaseloadReason::ReviewOverdue, self::days($facts->reviewOverdue), 'since the review was due.',
            ),
            $facts->proposals !== [] => self::proposals($facts->proposals),
            $facts->hasEnded => new self(
                CaseloadReason::Finished, self::share($facts), 'practised in the last 14 days; the programme has reached its end.',
            ),
            $facts->adherence === null => new self(
                CaseloadReason::OnTrack, $facts->isMaintenance ? 'Maintenance' : 'Day 1',
                $facts->isMaintenance ? 'has begun; nothing has been due yet.' : 'of the programme; nothing has been due yet.',
            ),
            default => new self(CaseloadReason::OnTrack, self::share($facts), ($facts->isMaintenance ? 'kept up: ' : 'practised: ')
                .Numbers::print($facts->creditLately, 1)." of {$facts->dueLately} in the last 14 days."),
        };
    }

    private static function redFlag(CaseloadFacts $facts): self
    {
        $number = count($facts->openRedFlags);
        $where = $facts->redFlagFromHome ? 'answered at home' : 'is open';
        $what = $facts->redFlagWaits ? 'something was done, and practice waits.' : 'no action recorded.';

        return new self(
            CaseloadReason::RedFlag, ucfirst($facts->openRedFlags[0]->label()),
            $number === 1 ? "$where; $what" : "$where, and ".($number - 1)." more; $what",
        );
    }

    /** @param  non-empty-list<array{label: string, exercise: string, short: string}>  $proposals */
    private static function proposals(array $proposals): self
    {
        $others = count($proposals) - 1;

        return new self(
            CaseloadReason::ProposalWaiting, $proposals[0]['label'],
            "{$proposals[0]['exercise']}: {$proposals[0]['short']}".match ($others) {
                0 => '', 1 => '; and something for one more', default => "; and something for $others more",
            }.'.',
        );
    }

    private static function withoutProgramme(CaseloadFacts $facts): self
    {
        if ($facts->outcome !== null) {
            return new self(CaseloadReason::Finished, ucfirst($facts->outcome), 'was the outcome of the programme; it is closed.');
        }

        return $facts->screened
            ? new self(
                CaseloadReason::NoProgramme, self::days($facts->daysSinceAdded), 'since the patient was added; screened, no programme.',
            )
            : new self(CaseloadReason::NotScreened, self::days($facts->daysSinceAdded), 'since the patient was added; not screened yet.');
    }

    private static function share(CaseloadFacts $facts): string
    {
        return round(($facts->adherence ?? 0.0) * 100).' %';
    }

    private static function days(int $days): string
    {
        return match ($days) {
            0 => 'Less than a day',
            1 => '1 day',
            default => "$days days",
        };
    }
}
