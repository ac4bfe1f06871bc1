<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Actions\Programme\IssueVersion;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Programme\Template;
use IvoryPace\Programme\VersionOrder;
use Symfony\Component\Process\Process;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** The sheet as another program reads it: its text with poppler, its drawing as path operators. */
final class SheetTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    public function test_the_sheet_has_the_breath_as_vectors_the_dose_the_cautions_and_a_grid(): void
    {
        $this->clinicWithPatient();
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
            self::assertLessThanOrEqual(3, preg_match_all('/\/Type \/Page\b(?!s)/', $pdf), $template->name);
        }
    }

    private function text(string $pdf): string
    {
        $reader = new Process(['pdftotext', '-layout', '-', '-'], input: $pdf);
        $reader->mustRun();

        return (string) preg_replace('/\s+/u', ' ', $reader->getOutput());
    }

    private function streams(string $pdf): string
    {
        // Not trimmed: what is compressed may itself end with the byte of a line break.
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', $pdf, $matches);

        return implode("\n", array_map(fn (string $stream) => (string) @gzuncompress($stream), $matches[1]));
    }
}
