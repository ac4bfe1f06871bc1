<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Actions\Programme\IssueVersion;
use App\Paper\FoldedPages;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Programme\Template;
use IvoryPace\Programme\VersionOrder;
use Tests\Feature\ReadsPdf;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** The sheet as another program reads it: its text with poppler, its drawing as path operators. */
final class SheetTest extends TestCase
{
    use ReadsPdf, RefreshDatabase, Scenario;

    public function test_the_sheet_has_the_breath_as_vectors_the_dose_the_cautions_and_a_grid(): void
    {
        $this->clinicWithPatient();
        // A long name goes over two lines of the head.
        $this->patient->update(['name' => 'Odette Marsh']);
        $this->screen();
        $version = $this->issue(['why' => 'Für die Treppe – “easy”.', 'times_a_day' => 2]);
        $pdf = (string) $this->actingAs($this->practitioner, 'practitioner')
            ->get("/patients/{$this->patient->id}/versions/{$version->number}/sheet.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent();

        $text = $this->text($pdf);
        foreach ([
            $this->patient->name, 'Longer breath out', 'Für die Treppe – “easy”.', '12 breaths', 'On waking 05:30–09:00', 'Lights out', 'A stroke for each',
            'On a bad day', 'at least 6 breaths', 'in 4', 'out 5', 'rest 1', 'Stop when you get dizzy', 'Get help for chest pain', 'Sit with both feet on the floor', 'Breathe in and out by the nose.', 'Lay one hand on your upper chest',
        ] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertMatchesRegularExpression('/while driving|driving/i', $text);
        // The ridge is drawn, not pasted: curves are there, and no picture is.
        self::assertGreaterThanOrEqual(6, preg_match_all('/^[\d.\- ]+ c$/m', $this->streams($pdf)));
        self::assertStringNotContainsString('/Subtype /Image', $pdf);
        $this->get("/patients/{$this->patient->id}/versions/7/sheet.pdf")->assertNotFound();
    }

    public function test_a_planned_and_an_as_needed_exercise_stand_on_one_page_with_our_own_letters(): void
    {
        $this->clinicWithPatient();
        $this->patient->update(['name' => 'Łucja Žižková-Ørsted']);
        $this->screen();
        $today = $this->patient->dayOf(now());
        $version = app(IssueVersion::class)($this->patient, $this->practitioner, new VersionOrder(
            items: [
                ['technique' => 'soft-exhale', 'as_needed' => true, 'use_when' => 'before the dentist', 'daily_most' => 3],
                ['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'seated', 'times_a_day' => 3],
            ],
            weeks: 4, reviewOn: $today->plusDays(14)->date, startsOn: $today->date, ratedSymptom: 'tension', reason: null, basedOn: 0,
        ));
        $pdf = $this->printed($version->number, '');
        self::assertSame(1, $this->pages($pdf));
        $text = $this->text($pdf);
        self::assertStringContainsString('Łucja Žižková-Ørsted', $text, 'also letters that our first fonts do not have');
        self::assertMatchesRegularExpression('/When you need it .* before the dentist/', $text);
        self::assertLessThan(strpos($text, 'When you need it'), strpos($text, 'A stroke for each'), 'what is planned stands first');
        $fonts = $this->read(['pdffonts', '-'], $pdf);
        self::assertStringContainsString('Figtree', $fonts);
        self::assertStringContainsString('Literata', $fonts);
    }

    public function test_in_large_print_every_word_is_there_in_letters_of_16_points_and_over(): void
    {
        $number = $this->programme();
        [$usual, $large] = [$this->printed($number, ''), $this->printed($number, '?paper=large')];
        self::assertSame($this->words($usual), $this->words($large));
        self::assertGreaterThan($this->pages($usual), $this->pages($large));

        // As poppler measures them: letters of the text (the grid to tally on is for a pen).
        preg_match_all('/<fontspec id="(\d+)" size="(\d+)"/', $marked = $this->read(['pdftohtml', '-xml', '-stdout', '-i', '-zoom', '1', '-', 'text'], $large), $sizes);
        $of = array_combine($sizes[1], array_map(intval(...), $sizes[2]));
        preg_match_all('/<text [^>]*font="(\d+)"[^>]*>(.*?)<\/text>/', $marked, $texts, PREG_SET_ORDER);
        $sentences = array_filter($texts, fn (array $text) => str_contains($text[2], 'Breathe') || str_contains($text[2], 'dizzy'));
        self::assertGreaterThanOrEqual(2, count($sentences));
        foreach ($sentences as $text) {
            self::assertGreaterThanOrEqual(16, $of[$text[1]], $text[2]);
        }
    }

    public function test_to_fold_two_small_pages_lie_side_by_side_and_what_is_not_known_is_printed_as_usual(): void
    {
        $number = $this->programme();
        $folded = $this->printed($number, '?paper=fold');
        self::assertMatchesRegularExpression('/Page size:\s+841\.\d+ x 595\.\d+ pts \(A4\)/', $this->read(['pdfinfo', '-'], $folded));
        self::assertSame($this->words($this->printed($number, '')), $this->words($folded));
        foreach (['?paper=poster', '?paper[]=large', '?paper='] as $other) {
            self::assertStringContainsString('595.28 x 841.89', $this->read(['pdfinfo', '-'], $this->printed($number, $other)));
        }
    }

    public function test_folded_pages_read_from_front_to_back(): void
    {
        self::assertSame([[1, null]], FoldedPages::of(1));
        self::assertSame([[1, 2]], FoldedPages::of(2));
        self::assertSame([[4, 1], [2, 3]], FoldedPages::of(4));
        for ($pages = 3; $pages <= 23; $pages++) {
            $sides = FoldedPages::of($pages);
            self::assertSame(0, count($sides) % 2, 'both sides of each sheet');
            // As the folded stack is leafed through: right halves of the fronts and left halves of the backs going in, the others coming out.
            $read = [];
            foreach ($sides as $at => [$left, $right]) {
                $read[] = $at % 2 === 0 ? $right : $left;
            }
            foreach (array_reverse($sides, true) as $at => [$left, $right]) {
                $read[] = $at % 2 === 0 ? $left : $right;
            }
            self::assertSame([...range(1, $pages), ...array_fill(0, count($sides) * 2 - $pages, null)], $read);
        }
    }

    public function test_every_shipped_template_fits_on_few_pages(): void
    {
        $this->clinicWithPatient();
        $this->screen();
        $this->actingAs($this->practitioner, 'practitioner');
        foreach (Template::shipped() as $index => $template) {
            $today = $this->patient->dayOf(now());
            $version = app(IssueVersion::class)($this->patient, $this->practitioner, new VersionOrder(
                items: $template->items, weeks: 4, reviewOn: $today->plusDays(14)->date, startsOn: $today->date, ratedSymptom: 'sleep',
                reason: $index === 0 ? null : 'next', basedOn: $index, school: $template->school->value,
            ));
            $pdf = (string) $this->get("/patients/{$this->patient->id}/versions/{$version->number}/sheet.pdf")->assertOk()->getContent();
            self::assertLessThanOrEqual(max(1, intdiv(count($template->items) + 1, 2)), $this->pages($pdf), $template->name);
        }
    }

    private function programme(): int
    {
        $this->clinicWithPatient();
        $this->screen();

        return $this->issue(['times_a_day' => 2])->number;
    }

    private function printed(int $number, string $query): string
    {
        return (string) $this->actingAs($this->practitioner, 'practitioner')
            ->get("/patients/{$this->patient->id}/versions/$number/sheet.pdf$query")->assertOk()->getContent();
    }

    /** @return list<string> */
    private function words(string $pdf): array
    {
        $words = array_unique(array_map(fn (string $word) => rtrim($word, '.,'), explode(' ', trim($this->text($pdf)))));
        sort($words, SORT_STRING);

        return $words;
    }

    private function streams(string $pdf): string
    {
        // By the length that stands before each: a line break before “endstream” cannot be told from a last byte of what is compressed.
        preg_match_all('/\/Length (\d+)[^>]*>>\s*stream\r?\n/', $pdf, $heads, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);

        return implode("\n", array_map(
            fn (array $head) => (string) @gzuncompress(substr($pdf, $head[0][1] + strlen($head[0][0]), (int) $head[1][0])),
            $heads,
        ));
    }
}
