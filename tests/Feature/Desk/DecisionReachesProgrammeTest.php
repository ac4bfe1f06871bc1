<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\CareSession;
use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What is decided in a session stands in the draft of its Bench, and a draft that does something else says so. */
final class DecisionReachesProgrammeTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private CareSession $session;

    private ProgrammeItem $item;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->screen();
        $this->travelTo('2026-11-10 10:00:00');
        $this->item = $this->issue()->items->sole();
        $this->travelTo('2026-11-24 10:00:00');
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/sessions");
        $this->session = CareSession::query()->sole();
    }

    public function test_a_step_up_is_in_the_draft_with_its_reason_and_issuing_it_is_what_was_decided(): void
    {
        $this->decide('step-up', 'Effort is low.')->assertOk();
        $fields = null;
        $this->get($this->url('prescribe'))->assertInertia(function (AssertableInertia $page) use (&$fields) {
            $page->where('answer.items.0.fields.ratio', '4:0:5:1')
                ->where('decided.lines.0.decision', 'step up')->where('decided.lines.0.done', true)
                ->where('decided.reason', "{$this->item->item()->name()}: step up (Effort is low)");
            $fields = $page->toArray()['props']['decided']['answer']['items'][0]['fields'];
            self::assertNotSame($this->item->item()->summary(), $page->toArray()['props']['decided']['lines'][0]['to']);
        });
        self::assertSame([], $this->changes([$fields])->json('against'));
        self::assertSame(
            ["{$this->item->item()->name()}: “step up” was decided, and this does not do it."],
            $this->changes([['id' => $this->item->lineage, ...$this->item->fields]])->json('against'),
        );

        $this->postJson("/patients/{$this->patient->id}/versions", [
            'items' => [$fields], 'weeks' => 4, 'review_on' => '2026-12-08', 'starts_on' => '2026-11-24', 'rated_symptom' => 'tension', 'reason' => 'Step up.',
            'based_on' => 1, 'session' => $this->session->id,
        ])->assertSuccessful();
        self::assertSame(2, ProgrammeVersion::query()->count());
        // It is done: the Bench begins with what was issued.
        $this->get($this->url('prescribe'))->assertInertia(fn (AssertableInertia $page) => $page->where('decided', null)->where('answer.items.0.fields.ratio', $fields['ratio'] ?? ''));
        $this->get($this->url('note'))->assertInertia(fn (AssertableInertia $page) => $page->where('shown.draft', fn (string $text) => str_contains($text, 'step up. Effort is low.') && str_contains($text, 'Version 2')));
    }

    public function test_what_cannot_be_done_is_said_and_stopping_the_last_exercise_is_closing_the_programme(): void
    {
        $this->decide('stop')->assertOk();
        $this->get($this->url('prescribe'))->assertInertia(
            fn (AssertableInertia $page) => $page->where('decided.answer', null)->where('decided.lines.0.done', false),
        );
        $this->decide('lighten', revision: 1)->assertOk();
        $times = count($this->item->item()->plan->slots ?? []);
        $this->get($this->url('prescribe'))->assertInertia(
            fn (AssertableInertia $page) => $page->where('decided.lines.0.done', $times > 1)
                ->where('decided.answer.items.0.fields.times_a_day', fn (mixed $now) => (int) $now === max(1, $times - 1)),
        );
        // "Go on" of an older session is "stay".
        $this->decide('stay', revision: 2)->assertOk();
        $this->get($this->url('prescribe'))->assertInertia(fn (AssertableInertia $page) => $page->where('decided.reason', '')->where('decided.lines.0.decision', 'stay as it is'));
        $this->get($this->url('decide'))->assertInertia(
            fn (AssertableInertia $page) => $page->where('shown.decisions', fn ($decisions) => collect($decisions)->pluck('value')->all() === ['step-up', 'stay', 'step-back', 'lighten', 'pause', 'stop']),
        );
    }

    public function test_a_pause_that_was_decided_and_not_done_is_said(): void
    {
        $this->decide('pause', 'Rest.')->assertOk();
        $items = [['id' => $this->item->lineage, ...$this->item->fields]];
        $this->get($this->url('prescribe'))->assertInertia(fn (AssertableInertia $page) => $page->where('decided.lines.0.done', false));
        self::assertStringContainsString('it is not paused', $this->changes($items)->json('against.0'));
        $this->post("/patients/{$this->patient->id}/pauses", ['lineage' => $this->item->lineage, 'reason' => 'Rest your ribs.'])->assertSessionHasNoErrors();
        $this->get($this->url('prescribe'))->assertInertia(fn (AssertableInertia $page) => $page->where('decided.lines.0.done', true));
        self::assertSame([], $this->changes($items)->json('against'));
    }

    public function test_without_a_decision_nothing_is_done_and_another_patients_session_is_not_asked(): void
    {
        $this->get($this->url('prescribe'))->assertInertia(fn (AssertableInertia $page) => $page->where('decided', null));
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page->where('decided', null));
        $this->decide('step-up');
        $other = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        $this->postJson("/patients/{$other->id}/bench/changes", ['items' => [['technique' => 'square']], 'session' => $this->session->id])->assertOk()->assertJsonPath('against', []);
    }

    /** @return TestResponse<Response> */
    private function decide(string $decision, string $reason = '', int $revision = 0): TestResponse
    {
        return $this->putJson("/patients/{$this->patient->id}/sessions/{$this->session->id}/steps/decide", [
            'revision' => $revision, 'content' => ['decisions' => [$this->item->lineage => ['decision' => $decision, 'reason' => $reason]], 'remarks' => ''],
        ]);
    }

    /**
     * @param  list<mixed>  $items
     * @return TestResponse<Response>
     */
    private function changes(array $items): TestResponse
    {
        return $this->postJson("/patients/{$this->patient->id}/bench/changes", ['items' => $items, 'session' => $this->session->id])->assertOk();
    }

    private function url(string $step): string
    {
        return "/patients/{$this->patient->id}/sessions/{$this->session->id}/$step";
    }
}
