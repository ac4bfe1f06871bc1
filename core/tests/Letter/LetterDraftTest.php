<?php

declare(strict_types=1);

namespace IvoryPace\Tests\Letter;

use IvoryPace\Letter\LetterDraft;
use IvoryPace\Letter\LetterFacts;
use IvoryPace\Letter\LetterKind;
use IvoryPace\Letter\LetterPart;
use IvoryPace\Letter\MeasuredTwice;
use IvoryPace\Progress\Evidence;
use IvoryPace\Progress\RatedPractice;
use IvoryPace\Progress\ThenNow;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What a letter says; the people and numbers are made up. */
final class LetterDraftTest extends TestCase
{
    public function test_a_progress_letter_tells_what_was_seen_and_counted(): void
    {
        $rated = array_fill(0, 10, new RatedPractice(6, 4, 3, 'yes', false));
        $parts = LetterDraft::of(LetterKind::Progress, new LetterFacts(
            'Osric Fenn', '3 May 1968', '2 Sep 2026', 4, ['asthma'], 'to blow a whole verse', 'breathlessness',
            [
                new MeasuredTwice('Resting rate', '13 breaths/min', '20 Nov 2026', '18 breaths/min', '2 Sep 2026'),
                new MeasuredTwice('Oxygen saturation', '95 %', '20 Nov 2026', '96 %', '2 Sep 2026', comparable: false),
                new MeasuredTwice('Rib expansion', '4 cm', '20 Nov 2026'),
                new MeasuredTwice(
                    'Nijmegen questionnaire', '17 of 64', '20 Nov 2026', '31 of 64', '2 Sep 2026', true,
                    '14 points fewer: improved, reliably',
                ),
            ],
            new Evidence($rated, 12, 10.5), ThenNow::of([8, 8, 7, 3, 3, 2]), ['dizziness' => 2, 'panic' => 1],
            ['Extended exhale, 4:0:6:1: waking'], '3 Nov 2026', ['Humming'], [], null, '', '12 Dec 2026', 'Tue 1 Dec, 10:00 with Ada',
        ));
        self::assertSame([
            'why' => "Osric Fenn, born 3 May 1968, has come for breathing retraining since 2 Sep 2026, 4 sessions so far.\n"
                ."From the screening: asthma.\nWhat is rated before and after practice is breathlessness.\n"
                .'The goal, in the patient’s words: “to blow a whole verse”',
            'measures' => "Breathlessness before practice: 8 of 10 at first, 3 lately (medians of the first and the last 3 rated days).\n"
                ."Resting rate: 18 breaths/min on 2 Sep 2026, 13 breaths/min on 20 Nov 2026.\n"
                ."Oxygen saturation: 96 % on 2 Sep 2026, 95 % on 20 Nov 2026; taken in another way, so the two are not compared.\n"
                ."Rib expansion: 4 cm on 20 Nov 2026.\n"
                .'Nijmegen questionnaire: 31 of 64 on 2 Sep 2026, 17 of 64 on 20 Nov 2026; 14 points fewer: improved, reliably.',
            'practice' => "10 practices are on record; of what was due, 88 % was practised (10.5 of 12).\n"
                ."Breathlessness is 6 of 10 before and 4 of 10 after practice (medians of 10).\n"
                .'Practice was stopped 2 times for dizziness, once for panic.',
            'programme' => "In force from 3 Nov 2026:\nExtended exhale, 4:0:6:1: waking.\nPaused at present: Humming.",
            'plan' => "The programme is reviewed on 12 Dec 2026.\nThe next appointment is on Tue 1 Dec, 10:00 with Ada.",
            'closing' => '',
        ], $parts);
    }

    public function test_a_discharge_tells_the_outcome_and_what_was_practised_at_the_end(): void
    {
        $parts = LetterDraft::of(LetterKind::Discharge, new LetterFacts(
            'Osric Fenn', '3 May 1968', '2 Sep 2026', 1, programme: ['Humming, 5 min'], from: '3 Nov 2026', outcome: 'goal reached',
            outcomeNote: 'Blows the whole verse',
        ));
        self::assertSame("The programme ended: goal reached.\nBlows the whole verse.", $parts['outcome']);
        self::assertSame("What was practised at the end:\nHumming, 5 min.", $parts['programme']);
        self::assertSame('Osric Fenn, born 3 May 1968, came for breathing retraining on 2 Sep 2026.', $parts['why']);
        self::assertStringContainsString('No further sessions are planned', $parts['plan']);
        // Nobody is discharged by a letter: while the programme runs it does not say so.
        self::assertSame('', LetterDraft::of(LetterKind::Discharge, new LetterFacts('Osric Fenn', '3 May 1968'))['plan']);
    }

    public function test_who_is_asked_to_look_reads_first_what_is_asked_and_what_concerns(): void
    {
        $parts = LetterDraft::of(LetterKind::Onward, new LetterFacts(
            'Osric Fenn', '3 May 1968', concerns: ['Chest pain'], stops: ['dizziness' => 1],
        ));
        self::assertSame(['asked', 'concern', 'why', 'measures', 'programme', 'closing'], array_keys($parts));
        self::assertSame(['', "Chest pain.\nPractice was stopped once for dizziness."], [$parts['asked'], $parts['concern']]);
        self::assertSame([LetterPart::Asked], LetterKind::Onward->needs());
        self::assertSame(
            'Open: Chest pain; Fainting.',
            LetterDraft::of(LetterKind::Progress, new LetterFacts('Osric', '3 May 1968', concerns: ['Chest pain', 'Fainting.']))['plan'],
        );
    }

    public function test_what_was_not_practised_is_said_plainly(): void
    {
        $said = fn (int $due): string => LetterDraft::of(
            LetterKind::Progress, new LetterFacts('Osric Fenn', '3 May 1968', evidence: new Evidence([], $due, 0.0)),
        )['practice'];
        self::assertSame(['', 'The one practice that was due has not been recorded.'], [$said(0), $said(1)]);
        self::assertSame('None of the 12 practices that were due has been recorded.', $said(12));
    }

    public function test_whatever_the_record_holds_or_lacks_no_sentence_is_broken(): void
    {
        $random = new Randomizer(new Mt19937(25));
        $some = fn (array $of): array => $random->getInt(0, 1) === 0 ? [] : array_slice($of, 0, $random->getInt(1, count($of)));
        $maybe = fn (string $text): ?string => $random->getInt(0, 1) === 0 ? null : $text;
        for ($round = 0; $round < 400; $round++) {
            $practices = array_map(fn () => new RatedPractice(
                $random->getInt(0, 1) === 0 ? null : $random->getInt(0, 10), $random->getInt(0, 10), null, null, false,
            ), range(1, $random->getInt(1, 9)));
            $facts = new LetterFacts(
                'Osric Fenn', '3 May 1968', $maybe('2 Sep 2026'), $random->getInt(0, 3), $some(['asthma', 'COPD']), (string) $maybe('sleep'),
                (string) $maybe('panic'),
                $some([new MeasuredTwice('Rate', '13', '2 Nov'), new MeasuredTwice('Rate', '13', '2 Nov', '14', '2 Oct', false)]),
                $random->getInt(0, 2) === 0 ? null
                    : new Evidence($random->getInt(0, 1) === 0 ? [] : $practices, $random->getInt(0, 5), 0.0),
                ThenNow::of($some([5, 4, 3, 2, 1])), $some(['dizziness']) === [] ? [] : ['dizziness' => 2], $some(['Humming', 'Sighing']),
                $maybe('1 Nov 2026'), $some(['Humming']), $some(['Chest pain']), $maybe('no change'), (string) $maybe('Ended.'),
                $maybe('2 Dec 2026'), $maybe('Tue 1 Dec, 10:00'),
            );
            foreach (LetterKind::cases() as $kind) {
                $parts = LetterDraft::of($kind, $facts);
                self::assertSame(array_map(fn (LetterPart $part) => $part->value, $kind->parts()), array_keys($parts));
                foreach (array_filter(explode("\n", implode("\n", $parts)), fn (string $line) => $line !== '') as $line) {
                    self::assertMatchesRegularExpression('/^[“\p{Lu}\d].*[.:”]$/u', $line);
                    self::assertDoesNotMatchRegularExpression('/\.\.|: \.|, \.|  | null|^\.|\(\)/', $line);
                }
            }
        }
    }
}
