<?php

declare(strict_types=1);

namespace IvoryPace\Letter;

use IvoryPace\Numbers;

/**
 * A letter to a colleague as the record fills it; the practitioner edits and signs it. It says what was seen and
 * counted, and never that the one came of the other.
 */
final class LetterDraft
{
    /** Medians of fewer ratings than this are not told. */
    private const LEAST_RATED = 4;

    /** @return array<string, string> text by the value of each part, every part of this kind; empty where the record has nothing */
    public static function of(LetterKind $kind, LetterFacts $facts): array
    {
        $parts = [];
        foreach ($kind->parts() as $part) {
            $parts[$part->value] = implode("\n", array_map(self::sentence(...), array_values(array_filter(
                self::lines($part, $facts, $kind), fn (string $line) => trim($line) !== '',
            ))));
        }

        return $parts;
    }

    /** @return list<string> */
    private static function lines(LetterPart $part, LetterFacts $facts, LetterKind $kind): array
    {
        return match ($part) {
            LetterPart::Asked => [],
            LetterPart::Concern => [...$facts->concerns, ...self::stopped($facts)],
            LetterPart::Why => self::why($facts),
            LetterPart::Outcome => [$facts->outcome === null ? '' : "The programme ended: {$facts->outcome}", $facts->outcomeNote],
            LetterPart::Measures => [...self::beforePractice($facts), ...array_map(
                fn (MeasuredTwice $measure) => $measure->sentence(), $facts->measures,
            )],
            LetterPart::Practice => self::practice($facts),
            LetterPart::Programme => self::programme($facts),
            LetterPart::Plan => self::plan($facts, $kind),
            LetterPart::Closing => [],
        };
    }

    /** @return list<string> */
    private static function why(LetterFacts $facts): array
    {
        return [
            match (true) {
                $facts->since === null => "{$facts->name}, born {$facts->born}, has been taken on for breathing retraining",
                $facts->sessions === 1 => "{$facts->name}, born {$facts->born}, came for breathing retraining on {$facts->since}",
                default => "{$facts->name}, born {$facts->born}, has come for breathing retraining since {$facts->since}, "
                    ."{$facts->sessions} sessions so far",
            },
            $facts->conditions === [] ? '' : 'From the screening: '.implode(', ', $facts->conditions),
            $facts->rated === '' ? '' : "What is rated before and after practice is {$facts->rated}",
            $facts->goal === '' ? '' : "The goal, in the patient’s words: “{$facts->goal}”",
        ];
    }

    /** @return list<string> */
    private static function beforePractice(LetterFacts $facts): array
    {
        $rated = $facts->beforePractice;

        return $rated === null ? [] : [ucfirst($facts->rated === '' ? 'the rating' : $facts->rated).' before practice: '
            .Numbers::print($rated->then).' of 10 at first, '.Numbers::print($rated->now)
            ." lately (medians of the first and the last {$rated->days} rated days)"];
    }

    /** @return list<string> */
    private static function practice(LetterFacts $facts): array
    {
        $evidence = $facts->evidence;
        if ($evidence === null) {
            return [];
        }
        if ($evidence->practices === 0) {
            return [match ($evidence->due) {
                0 => '',
                1 => 'The one practice that was due has not been recorded',
                default => "None of the {$evidence->due} practices that were due has been recorded",
            }];
        }
        $counted = $evidence->practices === 1 ? 'One practice is on record' : "{$evidence->practices} practices are on record";

        return [
            $counted.($evidence->due === 0 ? '' : '; of what was due, '.round(100 * ($evidence->adherence() ?? 0)).' % was practised ('
                .Numbers::print($evidence->credit, 1)." of {$evidence->due})"),
            $evidence->ratedTwice < self::LEAST_RATED || $evidence->before === null || $evidence->after === null ? ''
                : ucfirst($facts->rated === '' ? 'the rating' : $facts->rated).' is '.Numbers::print($evidence->before)
                    .' of 10 before and '.Numbers::print($evidence->after)." of 10 after practice (medians of {$evidence->ratedTwice})",
            ...self::stopped($facts),
        ];
    }

    /** @return list<string> */
    private static function stopped(LetterFacts $facts): array
    {
        $said = array_map(
            fn (string $symptom, int $times) => ($times === 1 ? 'once' : "$times times")." for $symptom", array_keys($facts->stops),
            array_values($facts->stops),
        );

        return $said === [] ? [] : ['Practice was stopped '.implode(', ', $said)];
    }

    /** @return list<string> */
    private static function programme(LetterFacts $facts): array
    {
        if ($facts->programme === []) {
            return [];
        }

        return [
            ...($facts->outcome !== null ? ['What was practised at the end:']
                : ($facts->from === null ? [] : ["In force from {$facts->from}:"])),
            ...$facts->programme,
            $facts->paused === [] ? '' : 'Paused at present: '.implode(', ', $facts->paused),
        ];
    }

    /** @return list<string> */
    private static function plan(LetterFacts $facts, LetterKind $kind): array
    {
        if ($kind === LetterKind::Discharge) {
            return [$facts->outcome === null ? '' : 'No further sessions are planned; we are glad to see the patient again if needed'];
        }

        return [
            $facts->review === null ? '' : "The programme is reviewed on {$facts->review}",
            $facts->appointment === null ? '' : "The next appointment is on {$facts->appointment}",
            $facts->concerns === [] ? '' : 'Open: '.implode('; ', array_map(fn (string $line) => rtrim($line, '. '), $facts->concerns)),
        ];
    }

    private static function sentence(string $said): string
    {
        $said = trim($said);

        return preg_match('/[.!?…”:]$/u', $said) === 1 ? $said : "$said.";
    }
}
