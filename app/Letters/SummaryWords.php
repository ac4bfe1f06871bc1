<?php

declare(strict_types=1);

namespace App\Letters;

use App\Language\PatientLanguage;
use App\Language\PlainWords;
use App\Language\Told;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Letter\LetterFacts;
use IvoryPace\Letter\LetterKind;
use IvoryPace\Letter\LetterPart;
use IvoryPace\Numbers;
use IvoryPace\Programme\Told\Instruction;

/** What a letter tells a colleague, told to the patient: in their language and in the words of their sheet. */
final readonly class SummaryWords
{
    private function __construct(private LetterFactsOf $of, private LetterFacts $facts)
    {
    }

    /** @return array<string, string> text by part */
    public static function parts(LetterFactsOf $of): array
    {
        return PatientLanguage::of($of->patient, function () use ($of) {
            $words = new self($of, $of->facts());
            $parts = [];
            foreach (LetterKind::Summary->parts() as $part) {
                $parts[$part->value] = implode("\n", array_filter($words->lines($part), fn (string $line) => $line !== ''));
            }

            return $parts;
        });
    }

    /** @return list<string> */
    private function lines(LetterPart $part): array
    {
        return match ($part) {
            LetterPart::Why => $this->why(),
            LetterPart::Measures => $this->changes(),
            LetterPart::Practice => $this->practice(),
            LetterPart::Programme => $this->programme(),
            LetterPart::Plan => $this->plan(),
            default => [],
        };
    }

    /** @return list<string> */
    private function why(): array
    {
        $since = $this->of->firstSession()?->isoFormat('D MMMM YYYY');

        return [
            trans_choice('summary.since', $since === null ? 0 : $this->facts->sessions, ['since' => (string) $since]),
            $this->facts->goal === '' ? '' : (string) __('patient.sheet.goal', ['goal' => $this->facts->goal]),
        ];
    }

    /** @return list<string> */
    private function changes(): array
    {
        $rated = $this->facts->beforePractice;
        if ($rated === null) {
            return [];
        }
        $key = [-1 => 'lower', 0 => 'same', 1 => 'higher'][$rated->direction()];

        return [
            __("patient.progress.$key", [
                'name' => (string) __('patient.progress.before', ['symptom' => $this->facts->rated]),
                'then' => Numbers::print($rated->then), 'now' => Numbers::print($rated->now),
            ]).'. '.__('patient.progress.then-now-about'),
        ];
    }

    /** @return list<string> */
    private function practice(): array
    {
        $evidence = $this->facts->evidence;
        $share = $evidence?->adherence();

        return $evidence === null ? [] : [
            trim(trans_choice('summary.practised', $evidence->practices).' '
                .($share === null || $evidence->practices === 0 ? '' : __('summary.share', ['percent' => round(100 * $share)]))),
        ];
    }

    /** @return list<string> */
    private function programme(): array
    {
        $lines = [];
        foreach ($this->of->programme?->latestVersion()->items ?? [] as $row) {
            $item = $row->item();
            $when = array_map(PlainWords::anchor(...), $item->plan->slots ?? []);
            $why = array_filter(Told::parts(Instruction::of($item, false)), fn (array $part) => $part['part'] === Part::Why->value);
            $lines[] = trim(__($when === [] ? 'summary.as-needed' : 'summary.when', [
                'name' => PlainWords::name($item), 'when' => implode('; ', $when),
            ]).' '.implode(' ', array_map(fn (array $part) => implode(' ', $part['texts']), $why)));
        }

        return $lines;
    }

    /** @return list<string> */
    private function plan(): array
    {
        $version = $this->of->programme?->latestVersion();
        if ($this->of->programme?->closed_on !== null) {
            return [(string) __('summary.ended')];
        }

        $next = $this->of->nextAppointment();

        return [
            $version === null ? ''
                : (string) __('patient.progress.next-text', ['date' => $version->review_on->isoFormat('D MMMM YYYY')]),
            $next === null ? '' : (string) __('summary.appointment', ['when' => $next->isoFormat('dddd D MMMM, HH:mm')]),
        ];
    }
}
