<?php

declare(strict_types=1);

namespace App\Letters;

use App\Catalogue\Figures;
use App\Catalogue\RidgeSvg;
use App\Language\PatientLanguage;
use App\Language\PlainWords;
use App\Models\Practitioner;
use App\Models\ProgrammeItem;
use App\Paper\Paper;
use App\Paper\Press;
use Carbon\CarbonImmutable;
use IvoryPace\Letter\LetterKind;
use IvoryPace\Letter\LetterPart;
use IvoryPace\Programme\Item;

/** A letter as it is sent: on paper, and as plain text. */
final readonly class LetterPaper
{
    private const MOST_RIDGES = 4;

    /** @param  array<array-key, mixed>  $parts  text by part, as it was edited */
    public function __construct(
        private LetterFactsOf $of,
        private LetterKind $kind,
        private string $addressee,
        private array $parts,
        private bool $withCourse,
        private Practitioner $by,
        private CarbonImmutable $now,
    ) {
    }

    public function pdf(): string
    {
        return $this->spoken(fn () => Press::pdf(view('letter', $this->data())->render(), Paper::A4));
    }

    public function text(): string
    {
        return $this->spoken(function () {
            $data = $this->data();
            $blocks = [$data['head'], $this->addressee, $data['on'], $data['title'], $data['about']];
            foreach ($data['parts'] as $part) {
                $blocks[] = trim(($part['heading'] === '' ? '' : "{$part['heading']}\n").$part['text']);
            }
            $blocks[] = $data['signed'];
            $blocks[] = implode("\n", $data['safety']);
            $blocks[] = $data['foot'];
            if ($data['weeks'] !== []) {
                $blocks[] = "Week by week\n".CourseSvg::words($data['weeks'], $data['rated']);
            }

            return implode("\n\n", array_filter(array_map(trim(...), $blocks), fn (string $block) => $block !== ''))."\n";
        });
    }

    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    private function spoken(callable $do): mixed
    {
        return $this->kind->isToSomebodyElse() ? $do() : PatientLanguage::of($this->of->patient, $do);
    }

    /**
     * @return array{head: string, addressee: string, on: string, title: string, about: string, parts: list<array{heading: string,
     * text: string, ridges: list<array{name: string, image: string}>}>, signed: string, safety: list<string>, foot: string,
     * course: string|null, weeks: list<CourseWeek>, rated: string, locale: string}
     */
    private function data(): array
    {
        $patient = $this->of->patient;
        $clinic = $patient->clinic;
        $toOther = $this->kind->isToSomebodyElse();
        $weeks = $this->withCourse && $toOther ? CourseWeek::all($this->of) : [];
        $rated = trim($this->of->programme?->latestVersion()->rated_symptom ?? '');
        $on = $this->now->setTimezone($clinic->time_zone)->isoFormat('D MMMM YYYY');
        $by = $this->by;

        return [
            'head' => trim((string) $clinic->letter_head) === '' ? $clinic->name : trim((string) $clinic->letter_head),
            'addressee' => trim($this->addressee), 'on' => $on,
            'title' => $toOther ? $this->kind->label() : (string) __('summary.title'),
            'about' => $toOther ? "About {$patient->name}, born {$patient->birth_date->format('j M Y')}" : $patient->name,
            'parts' => $this->shown(),
            'signed' => implode("\n", array_filter([
                $by->name, $toOther ? $by->profession : '',
                $toOther && trim((string) $by->registration) !== '' ? "Registration {$by->registration}" : '', $clinic->name,
            ])),
            'safety' => $toOther ? [] : [
                __('sheet.stop-title').' '.__('sheet.stop'), __('sheet.help-title').' '.__('sheet.help')." {$clinic->emergency_wording}",
            ],
            'foot' => trim((string) $clinic->letter_foot),
            'course' => $weeks === [] ? null : self::image(CourseSvg::of($weeks, $rated)),
            'weeks' => $weeks, 'rated' => $rated, 'locale' => $toOther ? 'en' : app()->getLocale(),
        ];
    }

    /** @return list<array{heading: string, text: string, ridges: list<array{name: string, image: string}>}> what has a text */
    private function shown(): array
    {
        $shown = [];
        foreach ($this->kind->parts() as $part) {
            $text = is_string($this->parts[$part->value] ?? null) ? trim($this->parts[$part->value]) : '';
            if ($text !== '') {
                $shown[] = [
                    'heading' => match (true) {
                        $part->isBare() => '',
                        $this->kind->isToSomebodyElse() => $part->heading(),
                        default => (string) __("summary.part.{$part->value}"),
                    },
                    'text' => $text, 'ridges' => $part === LetterPart::Programme ? $this->ridges() : [],
                ];
            }
        }

        return $shown;
    }

    /** @return list<array{name: string, image: string}> the breath of the first exercises that have times, drawn */
    private function ridges(): array
    {
        $items = ($this->of->programme?->latestVersion()->items ?? collect())->map(fn (ProgrammeItem $row) => $row->item());
        $drawn = $items->filter(fn (Item $item) => $item->plan !== null && ! $item->isTicked())->take(self::MOST_RIDGES);

        return array_values($drawn->map(fn (Item $item) => [
            'name' => $this->kind->isToSomebodyElse() ? $item->name() : PlainWords::name($item),
            'image' => self::image(RidgeSvg::of(Figures::ridge($item))),
        ])->all());
    }

    private static function image(string $svg): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }
}
