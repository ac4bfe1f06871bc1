<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Actions\Assessment\AnswerForm;
use App\Actions\Assessment\AskForm;
use App\Actions\Practice\WriteDiary;
use App\Models\ChosenSymptom;
use App\Models\MadeDecision;
use App\Models\Role;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Practising;
use Tests\TestCase;

/** What is proposed for an exercise in the session, from what was really practised and written. */
final class ProposalTest extends TestCase
{
    use Practising, RefreshDatabase;

    private ChosenSymptom $tension;

    protected function setUp(): void
    {
        parent::setUp();
        $this->patientWithAProgramme();
        $this->tension = ChosenSymptom::query()->create(['patient_id' => $this->patient->id, 'name' => 'tension']);
    }

    public function test_a_patient_with_nothing_yet_is_too_early(): void
    {
        self::assertSame(['too-early', 'PROPOSE-TOO-EARLY'], $this->proposed());
    }

    public function test_ten_good_days_propose_the_next_rung_and_two_stops_a_step_back(): void
    {
        $this->practise(10);
        self::assertSame(['step-up', 'PROPOSE-STEP-UP'], $this->proposed());
        $this->practise(1, ['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness']);
        self::assertSame('stay', $this->proposed()[0]);
        $this->practise(1, ['stop_class' => 'made-me-stop', 'stop_symptom' => 'tingling']);
        self::assertSame('step-back', $this->proposed()[0]);
    }

    public function test_little_practice_of_an_easy_breath_is_lightened(): void
    {
        $this->practise(6, every: 3);
        self::assertSame('lighten', $this->proposed()[0]);
    }

    public function test_a_symptom_that_is_reliably_worse_comes_before_everything(): void
    {
        for ($day = 0; $day < 20; $day++) {
            $this->practise(1);
            app(WriteDiary::class)($this->device, now()->format('Y-m-d'), [$this->tension->id => min(10, 3 + intdiv($day, 4))], null, null, CarbonImmutable::now());
        }
        self::assertSame('look', $this->proposed()[0]);
        self::assertStringContainsString('Tension is reliably worse: 3 in the first rated week, 7 in the last', $this->because());
        $trends = $this->course()['trends'];
        self::assertSame(['Tension'], array_column($trends, 'name'));
        self::assertStringStartsWith('Rising: +1.', $trends[0]['trend']);
    }

    public function test_so_does_a_questionnaire(): void
    {
        $this->answer('gad-7', [0, 1, 0, 1, 0, 1, 0]);
        $this->practise(10);
        $this->answer('gad-7', [2, 2, 2, 2, 2, 2, 2]);
        self::assertSame('look', $this->proposed()[0]);
        self::assertStringContainsString('GAD-7 is reliably worse: 3 at first, 14 now', $this->because());
    }

    public function test_a_decision_is_kept_beside_the_proposal_and_the_clinic_sees_how_often_they_agree(): void
    {
        $this->practise(10);
        $this->decide();
        $session = $this->patient->careSessions()->whereNull('closed_at')->sole();
        $lineage = (string) $this->version->items->first()?->lineage;
        $keep = fn (?string $decision, int $revision) => $this->putJson("/patients/{$this->patient->id}/sessions/{$session->id}/steps/decide", [
            'content' => ['decisions' => [$lineage => ['decision' => $decision, 'reason' => ''], 'unknown' => ['decision' => 'stay', 'reason' => '']]], 'revision' => $revision,
        ])->assertOk();
        $keep('stay', 0);
        self::assertSame(['step-up', 'stay', false], [MadeDecision::query()->sole()->proposed?->value, MadeDecision::query()->sole()->decided->value, MadeDecision::query()->sole()->agrees]);
        $keep('step-up', 1);
        self::assertTrue(MadeDecision::query()->sole()->agrees);
        $keep(null, 2);
        self::assertSame(0, MadeDecision::query()->count());

        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('agreement', ['decisions' => 0, 'share' => null]));
        foreach (range(1, 10) as $n) {
            MadeDecision::query()->create(['care_session_id' => $session->id, 'clinic_id' => $this->patient->clinic_id, 'lineage' => sprintf('%026d', $n), 'proposed' => 'stay', 'decided' => $n > 8 ? 'step-up' : 'stay', 'agrees' => $n <= 8, 'decided_at' => now()]);
        }
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('agreement', ['decisions' => 10, 'share' => 0.8]));
    }

    public function test_the_lead_sets_thresholds_and_contradictions_are_refused_in_words(): void
    {
        $this->practise(10);
        $this->actingAs($this->practitioner, 'practitioner')->put('/clinic/thresholds', ['thresholds' => []])->assertForbidden();
        $this->practitioner->update(['role' => Role::Lead]);
        $this->app?->make('auth')->forgetGuards();
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
        $this->put('/clinic/thresholds', ['thresholds' => ['easyEffort' => '8', 'hardEffort' => '7']])->assertSessionHasErrors(['thresholds' => 'Easy effort has to be less than hard effort: now both could be proposed at once.']);
        $this->put('/clinic/thresholds', ['thresholds' => ['highSmooth' => '120', 'leastDays' => 'many']])->assertSessionHasErrors(['thresholds.highSmooth', 'thresholds.leastDays']);
        $this->put('/clinic/thresholds', ['thresholds' => ['easyEffort' => '2', 'highAdherence' => '', 'nonsense' => '3']])->assertSessionHasNoErrors();
        self::assertSame(['easyEffort' => '2'], $this->practitioner->clinic->refresh()->thresholds);
        self::assertSame('stay', $this->proposed()[0], 'effort 3 is no longer easy enough');
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('thresholds.10.name', 'easyEffort')->where('thresholds.10.value', 2)->where('thresholds.10.shipped', 3)->where('thresholds.8.value', 80));
    }

    /** @param  list<int>  $answers */
    private function answer(string $form, array $answers): void
    {
        app(AnswerForm::class)(app(AskForm::class)($this->patient, $this->practitioner, $form, 'room'), array_combine(range(1, count($answers)), $answers), true);
    }

    /** @return array{string, string} kind and rule */
    private function proposed(): array
    {
        $proposal = $this->decide()['proposal'];

        return [$proposal['kind'], $proposal['rule']];
    }

    private function because(): string
    {
        return $this->decide()['proposal']['because'];
    }

    /** @return array<string, mixed> */
    private function decide(): array
    {
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/sessions");
        $session = $this->patient->careSessions()->whereNull('closed_at')->sole();

        return $this->get("/patients/{$this->patient->id}/sessions/{$session->id}/decide")->viewData('page')['props']['shown']['items'][0];
    }
}
