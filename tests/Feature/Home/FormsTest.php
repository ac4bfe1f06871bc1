<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Facts\PatientFactsOf;
use App\Models\AskedForm;
use App\Models\ChosenSymptom;
use App\Models\Measurement;
use App\Models\RaisedRedFlag;
use App\Models\Screening;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use IvoryPace\Assessment\ScreeningQuestions as Questions;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class FormsTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_a_questionnaire_is_scored_in_the_room_and_its_change_is_judged(): void
    {
        foreach ([[3, 3, 3, 2, 2, 1, 0], [1, 1, 1, 1, 1, 0, 0]] as $days => $answers) {
            $this->travel($days * 14)->days();
            $id = $this->ask('gad-7', 'room');
            $this->putJson($this->url("forms/$id"), ['answers' => array_combine(range(1, 7), $answers), 'done' => true])->assertOk();
        }
        $this->get($this->url('measure'))->assertInertia(fn (AssertableInertia $page) => $page->where('desk.questionnaires.0.last.score', 5)->where('desk.questionnaires.0.last.band', 'mild')
            ->where('desk.questionnaires.0.first.score', 14)->where('desk.questionnaires.0.change', '9 points fewer: recovered, reliably'));
        self::assertStringNotContainsString('3', (string) preg_replace('/[^{]*/', '', (string) DB::table('asked_forms')->value('answers')), 'stored encrypted');
    }

    public function test_missing_answers_are_scaled_or_leave_no_score(): void
    {
        $id = $this->ask('gad-7', 'room');
        $six = array_combine(range(1, 6), array_fill(0, 6, 2));
        $this->putJson($this->url("forms/$id"), ['answers' => $six, 'done' => true])->assertJsonValidationErrors(['answers' => 'One question is open.']);
        $this->putJson($this->url("forms/$id"), ['answers' => $six, 'done' => true, 'with_gaps' => true])->assertOk();
        self::assertSame([14.0, 1], [AskedForm::query()->sole()->score, AskedForm::query()->sole()->missing], 'one missing: × 7/6');
        $this->putJson($this->url("forms/$id"), ['answers' => [1 => 0]])->assertJsonValidationErrors('form');
        foreach (['update asked_forms set score = 1', 'update asked_forms set answers = null'] as $statement) {
            try {
                DB::statement($statement);
                self::fail("“{$statement}” was carried out");
            } catch (QueryException $refusal) {
                self::assertStringContainsString('cannot be changed', $refusal->getMessage());
            }
        }
        $nijmegen = $this->ask('nijmegen', 'room');
        $this->putJson($this->url("forms/$nijmegen"), ['answers' => [1 => 2], 'done' => true, 'with_gaps' => true])->assertOk();
        self::assertNull(AskedForm::query()->findOrFail($nijmegen)->score);
        $this->postJson($this->url('forms'), ['form' => 'mood', 'on' => 'room'])->assertJsonValidationErrors('form');
        $this->postJson($this->url('forms'), ['form' => 'mmrc', 'on' => 'device'])->assertJsonValidationErrors(['form' => 'The patient has no device yet. Make an access link first.']);
        $mmrc = $this->ask('mmrc', 'room');
        $this->putJson($this->url("forms/$mmrc"), ['answers' => [1 => 5]])->assertJsonValidationErrors('answers');
        $this->deleteJson($this->url("forms/$mmrc"))->assertOk();
        self::assertNotSame($mmrc, $this->ask('mmrc', 'room'), 'a form that was taken back is over');
    }

    public function test_a_nijmegen_score_feeds_the_rules(): void
    {
        $this->screen();
        $id = $this->ask('nijmegen', 'room');
        $this->putJson($this->url("forms/$id"), ['answers' => array_combine(range(1, 16), array_fill(0, 16, 2)), 'done' => true])->assertOk();
        self::assertSame(32, PatientFactsOf::patient($this->patient->refresh()->load('latestScreening.answers', 'activeProgramme.versions.items'), now())->nijmegen);
    }

    public function test_answers_at_home_are_kept_one_by_one_and_a_red_flag_is_open_at_once(): void
    {
        [, $credential] = $this->device();
        $id = $this->ask('screening', 'device');
        $this->openScreen($credential);
        $this->getJson('/api/v1/today')->assertOk()->assertJsonPath('asked.0.id', $id);
        $questions = $this->getJson('/api/v1/today')->json('asked.0.questions');
        self::assertSame(Questions::keysForPatients(), array_column($questions, 'key'));
        self::assertSame([], array_filter($questions, fn (array $question) => ! str_ends_with($question['text'], '?')), 'every question has words');

        $this->outbox('form', ['form' => $id, 'answers' => ['flag.asthma' => 1]])->assertStored();
        self::assertSame(0, RaisedRedFlag::query()->count());
        $this->outbox('form', ['form' => $id, 'answers' => ['flag.asthma' => 1, 'red.chest-pain' => 1]])->assertStored();
        self::assertSame(['home', 'chest-pain'], [RaisedRedFlag::query()->sole()->source, RaisedRedFlag::query()->sole()->flag->value]);
        $this->outbox('form', ['form' => $id, 'answers' => ['flag.asthma' => 1], 'done' => true])->assertRefused('answers');

        $this->actingAs($this->practitioner, 'practitioner')->get('/')->assertInertia(fn (AssertableInertia $page) => $page->where('lines.0.reason', 'red-flag')->where('lines.0.sentence', 'answered at home; no action recorded.'));
    }

    public function test_a_screening_from_home_counts_only_when_a_practitioner_confirms_it(): void
    {
        [, $credential] = $this->device();
        $id = $this->ask('screening', 'device');
        $this->openScreen($credential);
        $answers = ['flag.copd' => 1] + array_fill_keys(Questions::keysForPatients(), 0);
        $this->outbox('form', ['form' => $id, 'answers' => $answers, 'done' => true])->assertStored();
        $this->outbox('form', ['form' => $id, 'answers' => $answers, 'done' => true])->assertIs('again');
        $this->outbox('form', ['form' => $id, 'answers' => ['flag.copd' => 0] + $answers, 'done' => true])->assertRefused('form');
        self::assertSame(0, Screening::query()->count());
        $this->actingAs($this->practitioner, 'practitioner')->get('/')->assertInertia(fn (AssertableInertia $page) => $page->where('lines.0.reason', 'screening-waiting'));
        $this->get($this->url('screening'))->assertInertia(fn (AssertableInertia $page) => $page->where('from_home.answers', fn ($kept) => collect($kept)->toArray()['flag.copd'] === true)->where('patient.obstacle', fn ($text) => str_contains($text, 'not complete')));

        $this->post($this->url('screening'), ['answers' => ['flag.copd' => true] + array_fill_keys(Questions::keys(), false), 'confirms' => $id])->assertSessionHasNoErrors();
        self::assertSame($id, Screening::query()->sole()->asked_form_id);
        $this->get($this->url('screening'))->assertInertia(fn (AssertableInertia $page) => $page->where('from_home', null)->where('history.0.from_patient', true)->where('patient.flags', ['COPD']));
    }

    public function test_symptoms_are_rated_at_once_on_the_device_and_stand_beside_those_of_the_room(): void
    {
        [, $credential] = $this->device();
        $this->postJson($this->url('forms'), ['form' => 'symptoms', 'on' => 'device'])->assertJsonValidationErrors(['form' => 'There is no symptom to rate yet. Choose one first.']);
        $tension = ChosenSymptom::query()->create(['patient_id' => $this->patient->id, 'name' => 'tension']);
        $dropped = ChosenSymptom::query()->create(['patient_id' => $this->patient->id, 'name' => 'cough', 'dropped_at' => now()]);
        $worry = ChosenSymptom::query()->create(['patient_id' => $this->patient->id, 'name' => 'worry']);
        $asked = $this->postJson($this->url('forms'), ['form' => 'symptoms', 'on' => 'device'])->assertCreated();
        self::assertSame(['answered' => 0, 'on' => 'device', 'items' => 2], array_diff_key($asked->json('symptoms_asked'), ['id' => 0]));
        $id = $asked->json('form.id');

        auth()->forgetGuards();
        $this->openScreen($credential);
        $form = $this->getJson('/api/v1/today')->json('asked.0');
        self::assertSame([['Tension', 11], ['Worry', 11]], array_map(fn (array $question) => [$question['text'], count($question['options'])], $form['questions']));
        $this->outbox('form', ['form' => $id, 'answers' => [$tension->id => 11], 'done' => true])->assertRefused('answers');
        $this->outbox('form', ['form' => $id, 'answers' => [$tension->id => 7], 'done' => true])->assertRefused('answers');
        $at = now()->subMinutes(3)->startOfSecond();
        $this->outbox('form', ['form' => $id, 'answers' => [$tension->id => 7, $worry->id => 0, $dropped->id => 9], 'done' => true, 'answered_at' => $at->toIso8601ZuluString('millisecond')])->assertStored();
        $this->outbox('form', ['form' => $id, 'answers' => [$tension->id => 7, $worry->id => 0], 'done' => true])->assertIs('again');

        self::assertSame([['tension', 7.0, 'rated on the device'], ['worry', 0.0, 'rated on the device']], Measurement::query()->orderBy('id')->with('symptom')->get()->map(fn (Measurement $each) => [$each->symptom?->name, $each->value, $each->method])->all());
        self::assertTrue(Measurement::query()->firstOrFail()->measured_at->equalTo($at));
        auth()->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner');
        $desk = $this->get($this->url('measure'))->viewData('page')['props']['desk'];
        self::assertNull($desk['symptoms_asked']);
        self::assertSame([7.0, 'rated on the device'], [collect($desk['measures'])->firstWhere('label', 'Tension')['last']['value'], collect($desk['measures'])->firstWhere('label', 'Tension')['last']['method']]);
        self::assertNotContains('symptoms', array_column($desk['questionnaires'], 'key'));
        $this->screen();
        $this->issue();
        self::assertSame(['Tension, rated at a moment' => 7.0, 'Worry, rated at a moment' => 0.0], collect($this->course()['programme']['measures'])->mapWithKeys(fn (array $measure) => [$measure['name'] => (float) $measure['points'][0]['value']])->all());
    }

    public function test_a_form_of_another_patient_is_not_reached(): void
    {
        $id = $this->ask('gad-7', 'room');
        $mine = $this->patient;
        $this->patient = $mine->replicate()->fill(['name' => 'Another']);
        $this->patient->save();
        $this->putJson($this->url("forms/$id"), ['answers' => [1 => 1]])->assertNotFound();
        $this->deleteJson($this->url("forms/$id"))->assertNotFound();
        [, $credential] = $this->device();
        $this->openScreen($credential);
        $this->outbox('form', ['form' => $id, 'answers' => [1 => 1]])->assertRefused('form');
    }

    private function openScreen(string $credential): void
    {
        $this->fromDevice($credential)->unlock();
    }

    private function ask(string $form, string $on): string
    {
        return (string) $this->postJson($this->url('forms'), ['form' => $form, 'on' => $on])->assertCreated()->json('form.id');
    }

    private function url(string $path): string
    {
        return "/patients/{$this->patient->id}/$path";
    }
}
