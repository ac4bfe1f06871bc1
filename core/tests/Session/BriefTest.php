<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Session;

use IvoryPace\Progress\Evidence;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Progress\RatedPractice;
use IvoryPace\Session\Brief;
use IvoryPace\Session\BriefFacts;
use IvoryPace\Session\NoteDraft;
use IvoryPace\Session\Step;
use PHPUnit\Framework\TestCase;

final class BriefTest extends TestCase
{
    /** Medians and shares by hand: efforts 2, 3, 7 → 3; before 6, 5 → 5.5; after 4, 6 → 5; one of two no worse. */
    public function test_evidence_counts_only_what_was_said(): void
    {
        $evidence = new Evidence([
            new RatedPractice(6, 4, 2, 'yes'), new RatedPractice(5, 6, 3, 'partly'), new RatedPractice(null, null, 7, null), new RatedPractice(stoppedForSymptom: true),
        ], 8, 3.5);

        self::assertSame([4, 1, 3.0, 5.5, 5.0, 1, 2, 1, 2], [
            $evidence->practices, $evidence->stops, $evidence->effort, $evidence->before, $evidence->after, $evidence->smooth, $evidence->smoothSaid, $evidence->noWorse, $evidence->ratedTwice,
        ]);
        self::assertSame(0.4375, $evidence->adherence());
        self::assertSame(['44 %', '4', '3', '1 of 2', '5.5 to 5', '1'], array_column($evidence->lines(), 'number'));
        self::assertStringContainsString('no worse after 1 of 2', $evidence->lines()[4]['text']);
        self::assertSame('practised: 3.3 of 8 due.', (new Evidence([], 8, 3.26))->linesWithoutStops('since then')[0]['text']);
        self::assertSame('practice since then.', (new Evidence([new RatedPractice(6, 4, 2, 'yes')], 8, 1))->linesWithoutStops('since then')[1]['text']);
    }

    public function test_what_patients_say_of_themselves_and_tick_is_in_the_brief(): void
    {
        $brief = Brief::of(new BriefFacts(
            daysSinceLast: 7, screeningDays: 2,
            selfChecks: [
                ['exercise' => 'Even counted breathing', 'asked' => 'which hand moved first', 'answers' => 'belly 8, chest 4', 'times' => 12],
                ['exercise' => 'Humming', 'asked' => 'what moved', 'answers' => 'ribs 1', 'times' => 1],
            ],
            habits: [['habit' => 'Noticing the breath', 'ticks' => 34, 'agreed' => 8], ['habit' => 'Humming', 'ticks' => 1, 'agreed' => 1]],
        ));
        self::assertSame([
            '12 answers of the patient, which hand moved first, Even counted breathing: belly 8, chest 4.',
            '1 answer of the patient, what moved, Humming: ribs 1.',
            '34 ticks of Noticing the breath; 8 a day were agreed.', '1 tick of Humming; 1 a day were agreed.',
        ], array_map(fn (array $line) => "{$line['number']} {$line['text']}", $brief->lines));
    }

    public function test_nothing_said_claims_nothing(): void
    {
        $evidence = new Evidence([], 0, 0);
        self::assertNull($evidence->adherence());
        self::assertNull($evidence->effort);
        self::assertSame([['number' => '0', 'text' => 'practices since the last change.']], $evidence->lines());
    }

    public function test_the_brief_begins_with_what_is_unsafe(): void
    {
        $brief = Brief::of(new BriefFacts(
            daysSinceLast: 14, evidence: new Evidence([new RatedPractice(5, 7, 8, 'no')], 10, 2), ratedSymptom: 'tension', stops: ['dizziness' => 2], longestGap: 4, remarks: ['Too long', 'Fine'],
            openRedFlags: ['chest pain'], newFindings: ['A long hold (Square breathing)'], pausedExercises: 1, questionnaires: [['name' => 'GAD-7', 'score' => '9', 'band' => 'mild', 'change' => null]],
            screeningDays: 40, screeningWaits: true, reviewOverdue: 3, slight: 1,
        ));

        self::assertSame(['1 red flag', 'Answers', '1 new finding', '1', 'Dizziness'], array_slice(array_column($brief->lines, 'number'), 0, 5));
        self::assertSame(['screening', 'screening', 'course', 'course', 'course'], array_slice(array_column($brief->lines, 'evidence'), 0, 5));
        self::assertSame('measure', $brief->lines[count($brief->lines) - 1]['evidence']);
        self::assertContains('tension before to after, medians; no worse after 0 of 1.', array_column($brief->lines, 'text'));
        self::assertContains('of the patient; the latest: “Too long”', array_column($brief->lines, 'text'));
        self::assertCount(3, $brief->questions, 'three at the most');
        self::assertStringContainsString('dizziness stopped', $brief->questions[0]);
        self::assertStringContainsString('4 days without practice', $brief->questions[1]);
        self::assertStringContainsString('Effort is 8', $brief->questions[2]);
    }

    public function test_a_first_session_asks_for_the_goal(): void
    {
        $brief = Brief::of(new BriefFacts);
        self::assertSame(['No screening'], array_column($brief->lines, 'number'));
        self::assertSame(['What should be different when this is over, in your own words?'], $brief->questions);
    }

    public function test_rarer_questions_come_when_nothing_graver_does(): void
    {
        $worse = Brief::of(new BriefFacts(daysSinceLast: 7, evidence: new Evidence([new RatedPractice(3, 6, 4, 'yes')], 10, 4), screeningDays: 28, remarks: ['It helps']));
        self::assertSame([
            'It is rated higher after practice than before: what happens during it?', 'Would fewer practices, another time of day or the short version fit better?',
            'Anything new in health or medicines in the 28 days since the screening?',
        ], $worse->questions);
        self::assertSame([], Brief::of(new BriefFacts(daysSinceLast: 7, screeningDays: 7))->questions);
        $asked = fn (float $credit): bool => in_array('Would fewer practices, another time of day or the short version fit better?', Brief::of(new BriefFacts(daysSinceLast: 7, evidence: new Evidence([new RatedPractice(5, 4, 3, 'yes')], 10, $credit), screeningDays: 7))->questions, true);
        self::assertSame([true, false, false], array_map($asked, [4.9, 5.0, 7.0]), 'half is not too little');
    }

    public function test_the_note_is_filled_from_what_there_is(): void
    {
        $text = NoteDraft::text([
            'Session 2' => ['25 November 2026, with Nora'], 'Catch up' => ['', '  '], 'Measured' => [NoteDraft::measured('Resting rate', '14.2 breaths/min', '17 breaths/min', null)],
            'Tried' => [NoteDraft::tried('Square breathing', '4:4:4:4 at 1 s', 3, 'partly', 'equal sides'), NoteDraft::tried('Rest', null, null, null)],
        ]);

        self::assertSame("Session 2\n25 November 2026, with Nora.\n\nMeasured\nResting rate 14.2 breaths/min (17 breaths/min last time).\n\nTried\nSquare breathing 4:4:4:4 at 1 s; effort 3 of 10; partly smooth; seen: equal sides.\nRest.", $text);
        self::assertSame('Pulse 80', NoteDraft::measured('Pulse', '80', null, null));
    }

    public function test_every_step_and_decision_has_its_word(): void
    {
        self::assertSame(['Brief', 'Catch up', 'Measure', 'Teach and try', 'Decide', 'Prescribe', 'Hand over', 'Note'], array_map(fn (Step $step) => $step->label(), Step::cases()));
        self::assertSame(['brief', 'prescribe'], array_values(array_map(fn (Step $step) => $step->value, array_filter(Step::cases(), fn (Step $step) => ! $step->isKept()))));
        self::assertCount(7, array_unique(array_map(fn (Decision $decision) => $decision->label(), Decision::cases())));
    }
}
