<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use App\Models\Letter;
use App\Models\LetterDraft;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use App\Models\TrailEntry;
use Carbon\CarbonImmutable;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use IvoryPace\Letter\LetterKind;
use IvoryPace\Programme\Outcome;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\ReadsPdf;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Letters: filled from the record, edited, signed, and never changed again. */
final class LettersTest extends TestCase
{
    use ReadsPdf, RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(CarbonImmutable::parse('2026-10-21 09:00:00'));
        $this->clinicWithPatient();
        $this->practitioner->update(['name' => 'Nora Ashgrove', 'role' => Role::Lead, 'registration' => 'HQ 114']);
        $this->patient->update(['name' => 'Łucja Žižková', 'birth_date' => '1990-05-03']);
        $this->screen(['flag.asthma']);
        $this->issue(['why' => 'For the stairs.']);
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
    }

    public function test_a_letter_is_begun_kept_signed_sent_and_stands(): void
    {
        $draft = $this->begin('progress');
        self::assertStringContainsString('Łucja Žižková, born 3 May 1990', $draft->parts['why']);
        self::assertStringContainsString('asthma', $draft->parts['why']);
        self::assertStringContainsString('Extended exhale', $draft->parts['programme']);
        $this->sign('progress', 1)->assertUnprocessable()->assertJsonPath('message', 'Write to whom the letter goes, then sign.');
        $this->keep('progress', ['plan' => 'We go on – “gently” – für Łucja.'], 1, "Dr Ada Fenn\n2 Tide Lane")->assertOk()->assertJsonPath('revision', 2);
        $this->sign('progress', 1)->assertUnprocessable();
        $this->sign('progress', 2)->assertCreated()->assertJsonPath('go_to', "{$this->url()}");
        self::assertSame(0, LetterDraft::query()->count());

        $letter = Letter::query()->sole();
        $pdf = (string) $this->get("{$this->url()}/{$letter->id}/letter.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent();
        foreach (['Dr Ada Fenn', '2 Tide Lane', '21 October 2026', 'Progress letter', 'About Łucja Žižková, born 3 May 1990', 'We go on – “gently” – für Łucja.', 'Nora Ashgrove', 'Registration HQ 114', 'Week by week', 'in 4', 'out 5'] as $words) {
            self::assertStringContainsString($words, $this->text($pdf));
        }
        self::assertSame(2, $this->pages($pdf), 'A page, and the Course on its own.');
        $text = (string) $this->get("{$this->url()}/{$letter->id}/letter.txt")->assertOk()->getContent();
        self::assertStringContainsString("Plan\nWe go on – “gently” – für Łucja.\n", $text);
        self::assertStringContainsString('Week by week', $text);

        // The clinic's name changes and the record goes on: what was signed is the same, byte for byte.
        $this->practitioner->clinic->update(['name' => 'Another name', 'letter_head' => 'Elsewhere']);
        $this->travel(3)->days();
        self::assertSame($pdf, $this->get("{$this->url()}/{$letter->id}/letter.pdf")->getContent());
        foreach (['text' => 'x', 'pdf' => 'x', 'signed_at' => now(), 'practitioner_id' => $this->practitioner->id + 1] as $column => $value) {
            self::assertTrue($this->isRefused(fn () => DB::table('letters')->update([$column => $value])), $column);
        }
        self::assertTrue($this->isRefused(fn () => DB::table('letters')->delete()));

        $this->post("{$this->url()}/{$letter->id}/sent", ['how' => ''])->assertSessionHasErrors(['how' => 'Say how it was sent, as “by post”.']);
        $this->post("{$this->url()}/{$letter->id}/sent", ['how' => 'by post'])->assertSessionHasNoErrors();
        $this->post("{$this->url()}/{$letter->id}/sent", ['how' => 'by boat'])->assertSessionHasErrors('how');
        $this->get("/patients/{$this->patient->id}/record")->assertInertia(fn ($page) => $page->where('letters', 1));
        $this->get($this->url())->assertInertia(fn ($page) => $page->where('all.letters.0.to', 'Dr Ada Fenn')
            ->where('all.letters.0.sent', 'sent 24 Oct 2026, by post, by Nora Ashgrove'));
        self::assertSame(3, TrailEntry::query()->where('kind', 'export')->count(), 'what was taken out stands in the trail');
    }

    public function test_another_takes_the_place_of_a_signed_one(): void
    {
        $this->begin('onward');
        $this->keep('onward', [], 1, 'Dr Fenn');
        $this->sign('onward', 2)->assertUnprocessable()->assertJsonPath('message', '“What we ask of you” is empty. Write it, then sign.');
        $this->keep('onward', ['asked' => 'Please look at the chest.'], 2, 'Dr Fenn')->assertOk();
        $this->sign('onward', 3)->assertCreated();
        $first = Letter::query()->sole();
        $this->post($this->url(), ['kind' => 'progress', 'replaces' => $first->id])->assertRedirect("{$this->url()}/onward");
        self::assertSame('Please look at the chest.', LetterDraft::query()->sole()->parts['asked'], 'its words, and its kind');
        $this->sign('onward', 1)->assertCreated();
        self::assertSame($first->id, Letter::query()->latest('id')->firstOrFail()->replaces_id);
        $this->get($this->url())->assertInertia(fn ($page) => $page->where('all.letters.1.replaced_on', '21 Oct 2026')
            ->where('all.letters.0.replaced_on', null));
        $this->post($this->url(), ['kind' => 'onward', 'replaces' => $first->id])->assertNotFound();
        $stranger = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        $this->get("/patients/{$stranger->id}/letters/{$first->id}/letter.pdf")->assertNotFound();
        $this->post("/patients/{$stranger->id}/letters/{$first->id}/sent", ['how' => 'by post'])->assertNotFound();
    }

    public function test_two_who_type_at_once_are_told_and_nothing_is_lost(): void
    {
        $this->begin('summary');
        $this->keep('summary', ['plan' => 'Mine.'], 1)->assertOk();
        $colleague = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'name' => 'Idris Penwarden']);
        $this->actingAs($colleague, 'practitioner');
        $this->keep('summary', ['plan' => 'Theirs.'], 1)->assertStatus(409)->assertJsonPath('content.parts.plan', 'Mine.')->assertJsonPath('by', 'Nora Ashgrove');
        $this->post($this->url(), ['kind' => 'summary']);
        self::assertSame('Mine.', LetterDraft::query()->sole()->parts['plan'], 'who begins it again goes on with it');
        $this->sign('summary', 1)->assertUnprocessable()->assertJsonPath('message', 'Nora Ashgrove has typed in this letter meanwhile. Reload to read it, then sign.');
    }

    public function test_a_summary_speaks_to_the_patient_in_their_words(): void
    {
        $parts = $this->begin('summary')->parts;
        self::assertSame(['why', 'measures', 'practice', 'programme', 'plan'], array_keys($parts));
        self::assertStringContainsString('Longer breath out', $parts['programme']);
        self::assertStringContainsString('For the stairs.', $parts['programme']);
        self::assertStringNotContainsString('Extended exhale', implode('', $parts));
        $this->sign('summary', 1)->assertCreated();
        $text = Letter::query()->sole()->text;
        self::assertStringContainsString('Stop when you get dizzy', $text);
        self::assertStringContainsString($this->practitioner->clinic->emergency_wording, $text);
        self::assertStringNotContainsString('Registration', $text);
        self::assertStringNotContainsString('asthma', $text);
    }

    public function test_a_closed_programme_is_told_as_it_ended(): void
    {
        $this->travel(20)->days();
        $this->post("/patients/{$this->patient->id}/programme/close", ['outcome' => Outcome::GoalReached->value, 'note' => 'The stairs are easy'])->assertSessionHasNoErrors();
        $this->travel(200)->days();
        $parts = $this->begin('discharge')->parts;
        self::assertStringStartsWith('The programme ended: goal reached.', $parts['outcome']);
        self::assertStringContainsString('What was practised at the end:', $parts['programme']);
        // Three a day for twenty days, and not the two hundred since.
        self::assertSame('None of the 60 practices that were due has been recorded.', $parts['practice']);
        $this->keep('discharge', ['outcome' => ''], 1, 'Dr Fenn')->assertOk();
        $this->sign('discharge', 2)->assertUnprocessable()->assertJsonPath('message', '“What became of it” is empty. Write it, then sign.');
        self::assertLessThanOrEqual(2, $this->pages((string) $this->get("{$this->url()}/discharge/draft.pdf")->assertOk()->getContent()));
    }

    public function test_the_lead_gives_letters_their_head_foot_and_sentences(): void
    {
        $this->put('/clinic/letters', ['letter_head' => "Harrow Quay\n1 Quay Street", 'letter_foot' => 'Open Monday to Friday.', 'blocks' => [['name' => 'Thanks', 'text' => 'Thank you for sending us this patient.']]])
            ->assertSessionHasNoErrors();
        foreach ([[['name' => '', 'text' => 'x']], [['name' => 'a', 'text' => '']], [['name' => 'a', 'text' => 'x'], ['name' => 'a', 'text' => 'y']], 'text', ['x'], null] as $wrong) {
            $this->put('/clinic/letters', ['letter_head' => 'Lost', 'blocks' => $wrong])->assertSessionHasErrors();
        }
        $this->begin('progress');
        $this->get("{$this->url()}/progress")->assertInertia(fn ($page) => $page->where('draft.blocks.0.name', 'Thanks'));
        $text = $this->text((string) $this->get("{$this->url()}/progress/draft.pdf")->assertOk()->getContent());
        self::assertStringContainsString('1 Quay Street', $text);
        self::assertStringContainsString('Open Monday to Friday.', $text);
        $this->practitioner->update(['role' => Role::Practitioner]);
        $this->put('/clinic/letters', ['blocks' => []])->assertForbidden();
    }

    /** @return iterable<string, array{mixed}> */
    public static function nonsense(): iterable
    {
        yield 'a text in place of paragraphs' => [['content' => ['parts' => 'x', 'with_course' => true]]];
        yield 'a paragraph that is a list' => [['content' => ['parts' => ['why' => ['x']], 'with_course' => true]]];
        yield 'a paragraph that is too long' => [['content' => ['parts' => ['why' => str_repeat('x', 4001)], 'with_course' => true]]];
        yield 'an address that is a list' => [['content' => ['addressee' => ['x'], 'parts' => ['why' => 'x'], 'with_course' => true]]];
        yield 'nothing' => [[]];
    }

    #[DataProvider('nonsense')]
    public function test_what_cannot_be_read_is_refused_and_changes_nothing(mixed $body): void
    {
        $before = $this->begin('progress')->parts;
        $this->putJson("{$this->url()}/progress", ['revision' => 1, ...(array) $body])->assertUnprocessable();
        self::assertSame($before, LetterDraft::query()->sole()->parts);
        $this->putJson("{$this->url()}/nothing", ['revision' => 1])->assertNotFound();
        $this->post($this->url(), ['kind' => ['progress']])->assertSessionHasErrors('kind');
        $this->delete("{$this->url()}/progress")->assertRedirect($this->url());
        $this->get("{$this->url()}/progress")->assertRedirect($this->url());
        $this->postJson("{$this->url()}/progress/signature", ['revision' => 1])->assertUnprocessable()
            ->assertJsonPath('message', 'This letter is not being written any more: it was signed, or thrown away. Look under Letters.');
        $this->postJson("{$this->url()}/nothing/signature", ['revision' => 1])->assertNotFound();
    }

    public function test_every_kind_is_written_before_there_is_anything_to_tell(): void
    {
        $this->patient = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        foreach (LetterKind::cases() as $kind) {
            $this->begin($kind->value);
            self::assertSame(1, $this->pages((string) $this->get("{$this->url()}/{$kind->value}/draft.pdf")->assertOk()->getContent()));
        }
    }

    private function url(): string
    {
        return "/patients/{$this->patient->id}/letters";
    }

    private function begin(string $kind): LetterDraft
    {
        $this->post($this->url(), ['kind' => $kind])->assertRedirect("{$this->url()}/$kind");

        return LetterDraft::query()->where('kind', $kind)->where('patient_id', $this->patient->id)->sole();
    }

    /**
     * @param  array<string, string>  $parts
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function keep(string $kind, array $parts, int $revision, string $addressee = ''): TestResponse
    {
        $draft = LetterDraft::query()->where('kind', $kind)->sole();

        return $this->putJson("{$this->url()}/$kind", ['revision' => $revision, 'content' => [
            'addressee' => $addressee, 'parts' => [...$draft->parts, ...$parts], 'with_course' => true,
        ]]);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function sign(string $kind, int $revision): TestResponse
    {
        return $this->postJson("{$this->url()}/$kind/signature", ['revision' => $revision]);
    }

    /** @param  callable(): mixed  $do */
    private function isRefused(callable $do): bool
    {
        try {
            $do();
        } catch (QueryException $problem) {
            return str_contains($problem->getMessage(), 'A signed letter cannot be');
        }

        return false;
    }
}
