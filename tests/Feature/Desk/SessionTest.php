<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\CareSession;
use App\Models\Practitioner;
use App\Models\SessionStep;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class SessionTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    private CareSession $session;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-09 10:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->travelTo('2026-11-10 10:00:00');
        $this->actingAs($this->practitioner, 'practitioner');
        $this->post("/patients/{$this->patient->id}/sessions")->assertRedirectContains('/brief');
        $this->session = CareSession::query()->sole();
    }

    public function test_a_patient_has_one_open_session_and_beginning_again_goes_on_with_it(): void
    {
        $this->post("/patients/{$this->patient->id}/sessions")->assertRedirect($this->url('brief'));
        self::assertSame([1, 1], [CareSession::query()->count(), $this->session->number]);
        foreach (['brief', 'catch-up', 'measure', 'teach', 'decide', 'hand-over', 'note'] as $step) {
            $this->get($this->url($step))->assertInertia(fn (AssertableInertia $page) => $page->component('Session')->where('session.step', $step));
        }
        $this->get($this->url('prescribe'))->assertInertia(fn (AssertableInertia $page) => $page->component('Bench')->where('session.number', 1));
        $this->get($this->url('lunch'))->assertNotFound();
    }

    public function test_each_step_is_kept_encrypted_and_only_with_what_belongs_there(): void
    {
        $this->keep('catch-up', ['remarks' => 'Sleeps better', 'anything_new' => 'no', 'price' => 12], 0)->assertOk()->assertJson(['revision' => 1]);

        self::assertSame(['remarks' => 'Sleeps better', 'anything_new' => 'no'], SessionStep::query()->sole()->content);
        self::assertStringNotContainsString('Sleeps', (string) DB::table('session_steps')->value('content'));
        $this->get($this->url('catch-up'))->assertInertia(fn (AssertableInertia $page) => $page->where('kept.revision', 1)->where('kept.content.remarks', 'Sleeps better')->where('session.steps.1.has', true)->where('session.steps.2.has', false));
        $this->keep('brief', [], 0)->assertNotFound();
    }

    public function test_the_second_of_two_devices_is_shown_both_texts_and_nothing_is_overwritten(): void
    {
        $this->keep('measure', ['remarks' => 'From the desk'], 0)->assertOk();
        $colleague = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'name' => 'Other Hand']);
        $this->actingAs($colleague, 'practitioner');
        $this->keep('measure', ['remarks' => 'From the tablet'], 0)->assertStatus(409)->assertJson(['revision' => 1, 'content' => ['remarks' => 'From the desk'], 'by' => $this->practitioner->name]);
        self::assertSame('From the desk', SessionStep::query()->sole()->content['remarks']);
        $this->keep('measure', ['remarks' => 'Both agreed'], 1)->assertOk();
        self::assertSame(['Both agreed', 2, $colleague->id], [SessionStep::query()->sole()->content['remarks'], SessionStep::query()->sole()->revision, SessionStep::query()->sole()->practitioner_id]);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'effort' => ['teach', ['tried' => [['name' => 'Square', 'effort' => 11]]], 'content.tried.0.effort'];
        yield 'a decision that there is not' => ['decide', ['decisions' => ['x' => ['decision' => 'maybe']]], 'content.decisions.x.decision'];
        yield 'too long' => ['catch-up', ['remarks' => str_repeat('a', 5001)], 'content.remarks'];
        yield 'no answer' => ['catch-up', ['anything_new' => 'perhaps'], 'content.anything_new'];
    }

    /** @param  array<string, mixed>  $content */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_kept_is_named(string $step, array $content, string $field): void
    {
        $this->keep($step, $content, 0)->assertJsonValidationErrors($field);
        self::assertSame(0, SessionStep::query()->count());
    }

    public function test_the_note_is_filled_from_the_steps_signed_and_only_amended(): void
    {
        $version = $this->issue();
        $this->travel(5)->minutes();
        $lineage = (string) $version->items->first()?->lineage;
        $this->keep('catch-up', ['remarks' => 'Sleeps better', 'anything_new' => 'no'], 0);
        $this->postJson("/patients/{$this->patient->id}/measure", ['measure' => 'pulse', 'value' => 72, 'position' => 'seated'])->assertCreated();
        $this->keep('teach', ['tried' => [['name' => 'Extended exhale', 'pattern' => '4:0:5:1 at 1 s', 'effort' => 3, 'smooth' => 'yes', 'seen' => ['Shoulders low.']]], 'remarks' => ''], 0);
        $this->keep('decide', ['decisions' => [$lineage => ['decision' => 'step-up', 'reason' => 'Easy now']]], 0);
        $this->keep('hand-over', ['practised' => true], 0);
        $this->post("/patients/{$this->patient->id}/appointments", ['day' => '2026-11-24', 'time' => '10:30'])->assertSessionHasNoErrors();
        $draft = $this->get($this->url('note'))->viewData('page')['props']['shown']['draft'];
        foreach ([
            'Asked whether anything is new: nothing.', 'Sleeps better.', 'Pulse 72 beats/min', 'Extended exhale 4:0:5:1 at 1 s; effort 3 of 10; smooth; seen: Shoulders low.', 'Extended exhale: step up. Easy now.',
            'Version 1, in force from', "Next appointment Tue 24 Nov, 10:30 with {$this->practitioner->name}", 'The patient has practised it once here.',
        ] as $expected) {
            self::assertStringContainsString($expected, $draft);
        }

        $this->postJson($this->url('signature'), ['text' => '  '])->assertJsonValidationErrors('text');
        $this->post($this->url('amendments'), ['text' => 'Too early.', 'reason' => 'none'])->assertSessionHasErrors('text');
        $this->postJson($this->url('signature'), ['text' => $draft])->assertCreated();
        $this->postJson($this->url('signature'), ['text' => 'Again.'])->assertJsonValidationErrors('text');
        $this->keep('catch-up', ['remarks' => 'Later'], 1)->assertJsonValidationErrors('session');
        $this->post($this->url('amendments'), ['text' => 'Pulse was 74.', 'reason' => 'misread'])->assertRedirect();
        $this->get($this->url('note'))->assertInertia(fn (AssertableInertia $page) => $page->where('shown.signed.text', trim($draft))->where('shown.signed.by', $this->practitioner->name)
            ->where('shown.signed.amendments.0.text', 'Pulse was 74.')->where('shown.signed.amendments.0.reason', 'misread'));
        foreach (['session_notes' => 'text = "x"', 'note_amendments' => 'reason = "x"'] as $table => $change) {
            foreach (["update $table set $change", "delete from $table"] as $statement) {
                try {
                    DB::statement($statement);
                    self::fail("“{$statement}” was carried out");
                } catch (QueryException $refusal) {
                    self::assertStringContainsString('cannot be', $refusal->getMessage());
                }
            }
        }
        $this->post("/patients/{$this->patient->id}/sessions");
        self::assertSame(2, CareSession::query()->max('number'), 'the next one begins');
    }

    public function test_brief_catch_up_and_decide_show_the_evidence(): void
    {
        $version = $this->issue();
        [, $credential] = $this->device();
        $this->travelTo('2026-11-11 08:00:00');
        $this->fromDevice($credential)->outbox('practice', $this->practiceLog($version))->assertStored();
        $this->actingAs($this->practitioner, 'practitioner');
        $this->get($this->url('brief'))->assertInertia(fn (AssertableInertia $page) => $page->where('shown.lines', fn ($lines) => collect($lines)->contains(fn ($line) => $line['number'] === '6 to 4' && str_contains($line['text'], 'tension'))));
        $this->get($this->url('catch-up'))->assertInertia(fn (AssertableInertia $page) => $page->where('shown.remarks.0.text', 'Easier today.')->where('shown.screened.today', false)->has('shown.exercises', 1));
        $this->get($this->url('decide'))->assertInertia(fn (AssertableInertia $page) => $page->where('shown.items.0.lineage', $version->items->first()?->lineage)->where('shown.items.0.lines.0.number', '1')->has('shown.decisions', 6));
        $this->get($this->url('teach'))->assertInertia(fn (AssertableInertia $page) => $page->where('shown.choices.0.ratio', '4:0:5:1')->where('shown.choices', fn ($choices) => count($choices) > 25));
    }

    public function test_issuing_on_the_bench_of_a_session_goes_on_to_hand_over(): void
    {
        $order = ['items' => [['technique' => 'diaphragmatic']], 'weeks' => 4, 'review_on' => '2026-11-24', 'starts_on' => '2026-11-10', 'rated_symptom' => 'tension', 'based_on' => 0];
        $this->postJson("/patients/{$this->patient->id}/versions", [...$order, 'session' => $this->session->id])->assertCreated()->assertJson(['go_to' => $this->url('hand-over')]);
        $this->get($this->url('hand-over'))->assertInertia(fn (AssertableInertia $page) => $page->where('shown.version.is_new', true)->where('shown.has_device', false));
        $this->postJson("/patients/{$this->patient->id}/access")->assertCreated()->assertJsonStructure(['address', 'code', 'days']);
    }

    /** @param  array<string, mixed>  $content */
    private function keep(string $step, array $content, int $revision): TestResponse
    {
        return $this->putJson($this->url("steps/$step"), ['content' => $content, 'revision' => $revision]);
    }

    private function url(string $path): string
    {
        return "/patients/{$this->patient->id}/sessions/{$this->session->id}/$path";
    }
}
