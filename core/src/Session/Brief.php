<?php

declare(strict_types=1);

namespace IvoryPace\Session;

/**
 * Two minutes before a session: what happened, each line with its number and where the evidence is, and up to three
 * questions worth asking. Common practice.
 */
final readonly class Brief
{
    private const MOST_QUESTIONS = 3;

    /** Scheduled days in a row without practice that are worth a question. */
    private const GAP_DAYS = 3;

    private const HARD = 7;

    private const MOST_LIFTED = 3;

    /** A screening older than this is asked after. */
    private const SCREENING_DAYS = 28;

    /**
     * @param  list<array{number: string, text: string, evidence: string}>  $lines  most urgent first; evidence is screening, course or
     *     measure
     * @param  list<string>  $questions
     */
    private function __construct(public array $lines, public array $questions)
    {
    }

    public static function of(BriefFacts $facts): self
    {
        return new self(
            [...self::safety($facts), ...self::practice($facts), ...self::measured($facts)],
            array_slice(self::questions($facts), 0, self::MOST_QUESTIONS),
        );
    }

    /** @return list<array{number: string, text: string, evidence: string}> */
    private static function safety(BriefFacts $facts): array
    {
        $lines = [];
        if ($facts->openRedFlags !== []) {
            $lines[] = self::line(
                self::many($facts->openRedFlags, 'red flag'), 'open: '.implode(', ', $facts->openRedFlags).'.', 'screening',
            );
        }
        if ($facts->screeningDays === null) {
            $lines[] = self::line('No screening', 'yet. Nothing can be issued before it.', 'screening');
        }
        if ($facts->screeningWaits) {
            $lines[] = self::line('Answers', 'from home wait to be confirmed.', 'screening');
        }
        if ($facts->newFindings !== []) {
            $lines[] = self::line(
                self::many($facts->newFindings, 'new finding'), 'on the running programme: '.implode('; ', $facts->newFindings).'.',
                'course',
            );
        }
        if ($facts->pausedExercises > 0) {
            $lines[] = self::line(
                (string) $facts->pausedExercises,
                $facts->pausedExercises === 1 ? 'pause waits for you to look.' : 'pauses wait for you to look.', 'course',
            );
        }
        foreach (array_slice($facts->lifted, 0, self::MOST_LIFTED) as $pause) {
            $lines[] = self::line('Looked at', "{$pause['what']}. Found: {$pause['found']}.", 'course');
        }
        foreach ($facts->stops as $symptom => $times) {
            $lines[] = self::line(ucfirst($symptom), $times === 1 ? 'stopped one practice.' : "stopped $times practices.", 'course');
        }

        return $lines;
    }

    /** @return list<array{number: string, text: string, evidence: string}> */
    private static function practice(BriefFacts $facts): array
    {
        $since = $facts->daysSinceLast === null ? 'since the programme began' : 'since the last session';
        $lines = array_map(
            fn (array $line) => self::line($line['number'], $line['text'], 'course'),
            $facts->evidence?->linesWithoutStops($since, $facts->ratedSymptom ?? '') ?? [],
        );
        if ($facts->longestGap >= self::GAP_DAYS) {
            $lines[] = self::line("{$facts->longestGap} days", 'in a row without practice at the longest.', 'course');
        }
        if ($facts->slight > 0) {
            $lines[] = self::line(
                (string) $facts->slight,
                $facts->slight === 1 ? 'practice with something slight and passing.' : 'practices with something slight and passing.',
                'course',
            );
        }
        foreach ($facts->selfChecks as $check) {
            $lines[] = self::line(
                $check['times'] === 1 ? '1 answer' : "{$check['times']} answers",
                "of the patient, {$check['asked']}, {$check['exercise']}: {$check['answers']}.", 'course',
            );
        }
        foreach ($facts->habits as $habit) {
            $lines[] = self::line(
                $habit['ticks'] === 1 ? '1 tick' : "{$habit['ticks']} ticks",
                "of {$habit['habit']}; {$habit['agreed']} a day were agreed.", 'course',
            );
        }
        if ($facts->remarks !== []) {
            $lines[] = self::line(self::many($facts->remarks, 'remark'), 'of the patient; the latest: “'.$facts->remarks[0].'”', 'course');
        }
        if (($facts->reviewOverdue ?? 0) > 0) {
            $lines[] = self::line(self::days((int) $facts->reviewOverdue), 'since the review was due.', 'course');
        }

        return $lines;
    }

    /** @return list<array{number: string, text: string, evidence: string}> */
    private static function measured(BriefFacts $facts): array
    {
        return array_map(
            fn (array $each) => self::line(
                $each['score'],
                $each['name'].($each['band'] === '' ? '' : ", {$each['band']}").($each['change'] === null ? '.' : ": {$each['change']}."),
                'measure',
            ),
            $facts->questionnaires,
        );
    }

    /** @return list<string> the most telling first */
    private static function questions(BriefFacts $facts): array
    {
        $evidence = $facts->evidence;
        $questions = [];
        foreach (array_slice(array_keys($facts->stops), 0, 1) as $symptom) {
            $questions[] = "What was going on when $symptom stopped the practice, and how long did it last?";
        }
        if ($facts->longestGap >= self::GAP_DAYS) {
            $questions[] = "What got in the way on the {$facts->longestGap} days without practice?";
        }
        if ($evidence?->effort !== null && $evidence->effort >= self::HARD) {
            $questions[] = "Effort is {$evidence->effort} of 10: is it the length of the breath, the number of breaths or the position?";
        }
        if ($evidence?->before !== null && $evidence->after !== null && $evidence->after > $evidence->before) {
            $questions[] = 'It is rated higher after practice than before: what happens during it?';
        }
        if ($evidence !== null && ($evidence->adherence() ?? 1.0) < 0.5) {
            $questions[] = 'Would fewer practices, another time of day or the short version fit better?';
        }
        if ($facts->screeningDays !== null && $facts->screeningDays >= self::SCREENING_DAYS) {
            $questions[] = "Anything new in health or medicines in the {$facts->screeningDays} days since the screening?";
        }
        if ($facts->remarks !== []) {
            $questions[] = 'Tell me more about “'.$facts->remarks[0].'”';
        }
        if ($facts->daysSinceLast === null) {
            $questions[] = 'What should be different when this is over, in your own words?';
        }

        return $questions;
    }

    /** @return array{number: string, text: string, evidence: string} */
    private static function line(string $number, string $text, string $evidence): array
    {
        return ['number' => $number, 'text' => $text, 'evidence' => $evidence];
    }

    /** @param  list<string>  $what */
    private static function many(array $what, string $of): string
    {
        return count($what)." $of".(count($what) === 1 ? '' : 's');
    }

    private static function days(int $days): string
    {
        return $days === 1 ? '1 day' : "$days days";
    }
}
