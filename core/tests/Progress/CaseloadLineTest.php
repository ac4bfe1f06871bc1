<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Progress;

use IvoryPace\Health\RedFlag;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Progress\CaseloadFacts;
use IvoryPace\Progress\CaseloadLine;
use IvoryPace\Progress\CaseloadReason;
use IvoryPace\Progress\Proposal\Worsening;
use PHPUnit\Framework\TestCase;

final class CaseloadLineTest extends TestCase
{
    public function test_the_most_urgent_reason_wins(): void
    {
        // Each step takes away the reason that won before.
        $facts = [
            'screened' => true, 'openRedFlags' => [RedFlag::ChestPain, RedFlag::BlueLips], 'daysSinceAdded' => 40, 'hasProgramme' => true,
            'getHelp' => StopSymptom::Fainting, 'pausedExercise' => 'Extended exhale', 'stopsLately' => 2,
            'lastStop' => StopSymptom::Dizziness, 'presentGap' => 6, 'adherence' => 0.155 / 0.21, 'dueLately' => 21, 'creditLately' => 15.5,
            'daysSinceAccess' => 9, 'accessUsed' => true, 'reviewOverdue' => 3, 'redFlagFromHome' => true, 'screeningWaits' => 2, 'urgentAside' => true, 'keptAside' => 3,
            'newFinding' => ['title' => 'Long pause in the breath', 'exercise' => 'Square breathing', 'paused' => true],
        ];
        $this->expectLine(CaseloadReason::RedFlag, 'A red flag', 'from a signed-out device', ['redFlagAside' => true] + $facts);
        $this->expectLine(CaseloadReason::RedFlag, 'Chest pain', 'answered at home, and 1 more; no action recorded.', $facts);
        $this->expectLine(CaseloadReason::RedFlag, 'Chest pain', 'answered at home, and 1 more; something was done, and practice waits.', ['redFlagWaits' => true] + $facts);
        $this->expectLine(CaseloadReason::RedFlag, 'Blue lips', 'is open; no action recorded.', ['openRedFlags' => [RedFlag::BlueLips], 'redFlagFromHome' => false] + $facts);
        $this->expectLine(CaseloadReason::GetHelp, 'Fainting', 'every exercise is paused', $facts = ['openRedFlags' => []] + $facts);
        $this->expectLine(CaseloadReason::GetHelp, 'Needed help', 'from a signed-out device', $facts = ['getHelp' => null] + $facts);
        // Who is archived is only told of where help was needed.
        $this->expectLine(CaseloadReason::GetHelp, 'Fainting', 'every exercise is paused', ['archivedOn' => '3 Nov 2026', 'getHelp' => StopSymptom::Fainting] + $facts);
        $this->expectLine(CaseloadReason::Archived, 'Archived', 'on 3 Nov 2026.', ['archivedOn' => '3 Nov 2026', 'urgentAside' => false] + $facts);
        $this->expectLine(CaseloadReason::Paused, 'Dizziness twice', 'Extended exhale is paused', $facts = ['urgentAside' => false] + $facts);
        $this->expectLine(CaseloadReason::NewFinding, 'Long pause in the breath', 'Square breathing is paused until you have looked', $facts = ['pausedExercise' => null] + $facts);
        $this->expectLine(CaseloadReason::NewFinding, 'Eyes closed', 'after a new answer, for Body scan.', ['newFinding' => ['title' => 'Eyes closed', 'exercise' => 'Body scan', 'paused' => false]] + $facts);
        $facts = ['newFinding' => null, 'worse' => Worsening::rating('tension', 3, 5.5), 'proposals' => [['label' => 'Step up', 'exercise' => 'Humming', 'short' => '92 % practised, effort 2'], ['label' => 'Finish', 'exercise' => 'Body scan', 'short' => '14 days at the goal']]] + $facts;
        $this->expectLine(CaseloadReason::Worse, '3 to 5.5', 'is how Tension went; it is reliably worse', $facts);
        $this->expectLine(CaseloadReason::Worse, '5 to 12', 'is how GAD-7 went', ['worse' => Worsening::questionnaire('GAD-7', 5, 12)] + $facts);
        $this->expectLine(CaseloadReason::HomeRate, '26.5 a minute', 'tapped at home on 3 Nov; measure it yourself.', ['worse' => null, 'homeRate' => ['rate' => 26.5, 'on' => '3 Nov']] + $facts);
        $this->expectLine(CaseloadReason::ScreeningWaiting, '2 days', 'waits for you to confirm', $facts = ['worse' => null] + $facts);
        $this->expectLine(CaseloadReason::KeptAside, '3 entries', 'accept or refuse', $facts = ['screeningWaits' => null] + $facts);
        $this->expectLine(CaseloadReason::KeptAside, '1 entry', 'accept or refuse', ['keptAside' => 1] + $facts);
        $this->expectLine(CaseloadReason::StoppedOnce, 'Dizziness', 'latest of 2 stops', $facts = ['keptAside' => 0] + $facts);
        $this->expectLine(CaseloadReason::LockedOut, 'Locked out', 'make a new link', ['lastStop' => null, 'lockedOut' => 1] + $facts);
        $this->expectLine(CaseloadReason::NoPractice, '6 days', 'in a row', $facts = ['lastStop' => null] + $facts);
        $this->expectLine(CaseloadReason::AccessUnused, '9 days', 'not been used', ['accessUsed' => false] + $facts);
        $this->expectLine(CaseloadReason::ReviewOverdue, '3 days', 'review', $facts = ['presentGap' => 4] + $facts);
        $this->expectLine(CaseloadReason::ProposalWaiting, 'Step up', 'Humming: 92 % practised, effort 2; and something for one more.', $facts = ['reviewOverdue' => 0] + $facts);
        $this->expectLine(CaseloadReason::ProposalWaiting, 'Finish', 'Body scan: 14 days at the goal.', ['proposals' => [['label' => 'Finish', 'exercise' => 'Body scan', 'short' => '14 days at the goal']]] + $facts);
        $facts = ['proposals' => []] + $facts;
        $this->expectLine(CaseloadReason::Finished, '74 %', 'reached its end', ['hasEnded' => true] + $facts);
        $this->expectLine(CaseloadReason::Finished, 'Goal reached', 'it is closed', ['hasProgramme' => false, 'outcome' => 'goal reached'] + $facts);
        $this->expectLine(CaseloadReason::OnTrack, '74 %', '15.5 of 21', $facts = ['reviewOverdue' => 0] + $facts);
        $this->expectLine(CaseloadReason::OnTrack, '74 %', 'kept up: 15.5 of 21', ['isMaintenance' => true] + $facts);
        $this->expectLine(CaseloadReason::OnTrack, 'Maintenance', 'has begun', ['isMaintenance' => true, 'adherence' => null] + $facts);
        $this->expectLine(CaseloadReason::NoProgramme, '40 days', 'no programme', $facts = ['hasProgramme' => false] + $facts);
        $this->expectLine(CaseloadReason::NotScreened, '1 day', 'not screened', ['screened' => false, 'daysSinceAdded' => 1] + $facts);
    }

    public function test_reasons_are_ordered_by_urgency(): void
    {
        self::assertLessThan(CaseloadReason::Paused->order(), CaseloadReason::GetHelp->order());
        self::assertLessThan(CaseloadReason::OnTrack->order(), CaseloadReason::ReviewOverdue->order());
        self::assertSame(0, CaseloadReason::RedFlag->order());
        self::assertSame(['red-flag', 'get-help', 'paused', 'worse', 'home-rate', 'stopped-once'], CaseloadReason::urgent());
        self::assertSame([CaseloadReason::GetHelp], array_values(array_filter(CaseloadReason::cases(), fn (CaseloadReason $reason) => $reason->isNewestFirst())));
    }

    /** @param  array<string, mixed>  $facts */
    private function expectLine(CaseloadReason $reason, string $number, string $says, array $facts): void
    {
        /** @phpstan-ignore argument.type */
        $line = CaseloadLine::for(new CaseloadFacts(...$facts));

        self::assertSame([$reason, $number], [$line->reason, $line->number]);
        self::assertStringContainsString($says, $line->sentence);
        self::assertNotSame('', $reason->heading());
    }
}
