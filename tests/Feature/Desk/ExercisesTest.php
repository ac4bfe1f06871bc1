<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Catalogue\VoiceScript;
use App\Models\OwnExercise;
use App\Models\OwnRoutine;
use App\Models\Practice;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Inertia\Testing\AssertableInertia;
use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\Routine\Shipped;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** The catalogue, schools, the clinic's own breaths and routines. */
final class ExercisesTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_the_whole_catalogue_is_listed_and_every_exercise_opens_and_plays(): void
    {
        $this->get('/exercises')->assertInertia(fn (AssertableInertia $page) => $page->component('Exercises')
            ->has('list', count(Catalogue::all()) - 1)->has('routines', 5)->where('chosen.key', 'diaphragmatic'));
        foreach (Catalogue::all() as $technique) {
            if ($technique->isOwn) {
                continue;
            }
            $this->get("/exercises/{$technique->key}")->assertInertia(fn (AssertableInertia $page) => $page
                ->where('chosen.name', $technique->name)->has('chosen.schools', 4)->has('chosen.right.0')->has('chosen.feels.0')->has('chosen.stops.0'));
            $play = $this->getJson("/exercises/{$technique->key}/play?school=ratio-practice")->assertOk();
            foreach ((array) $play->json('timeline.segments.*.cues.*.instruction') as $instruction) {
                self::assertNotSame($instruction, $play->json('words')[$instruction] ?? $instruction, "$instruction has words");
            }
        }
    }

    public function test_what_does_not_exist_is_not_found(): void
    {
        $this->get('/exercises/nonsense')->assertNotFound();
        $this->get('/exercises/own')->assertNotFound();
        $this->getJson('/exercises/nonsense/play')->assertNotFound();
        $this->get('/routines/nonsense')->assertNotFound();
        $this->getJson('/exercises?patient=nobody')->assertNotFound();
    }

    public function test_for_a_patient_only_what_no_rule_speaks_against_is_possible(): void
    {
        $this->screen(['flag.cannot-lie-flat', 'flag.copd']);
        $this->get("/exercises?patient={$this->patient->id}")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('patient.id', $this->patient->id)
            ->where('list', function ($list) {
                $by = collect($list)->keyBy('key');
                self::assertSame([], $by['weight-on-belly']['possible']);
                self::assertSame(['reclined'], $by['rounds-retention']['possible']);
                self::assertSame('needs-reason', $by['rounds-retention']['finding']['level']);
                self::assertSame(['seated', 'cross-legged', 'standing'], $by['full-exhale']['possible']);

                return true;
            }));
    }

    public function test_a_clinic_adds_changes_and_deletes_a_breath_of_its_own(): void
    {
        $fields = ['own_name' => 'Harbour breath', 'ratio' => '3:2:5', 'count_length' => '0.9', 'breaths' => '7', 'position' => 'standing', 'route_out' => 'soft-open-mouth', 'own_right' => 'The jaw hangs.'];
        $key = $this->postJson('/own-exercises', ['fields' => $fields])->assertCreated()->json('key');

        $this->get("/exercises/$key")->assertInertia(fn (AssertableInertia $page) => $page->where('chosen.name', 'Harbour breath')
            ->where('chosen.right', ['The jaw hangs.'])->where('chosen.figures.cycle_s', 9)->where('chosen.is_own', true));
        $this->putJson("/own-exercises/$key", ['fields' => [...$fields, 'breaths' => 9]])->assertOk();
        self::assertSame(9, OwnExercise::query()->sole()->fields['breaths']);
        $this->deleteJson("/own-exercises/$key")->assertNoContent();
        self::assertSame(0, OwnExercise::query()->count());
    }

    public function test_what_is_wrong_with_an_own_breath_is_said_in_place(): void
    {
        $this->postJson('/own-exercises', ['fields' => ['own_name' => '', 'ratio' => '4;5', 'breaths' => 'many', 'count_length' => 9, 'position' => 'flying']])
            ->assertUnprocessable()->assertJsonValidationErrors(['own_name', 'ratio', 'breaths', 'count_length', 'position']);
        $this->postJson('/own-exercises', ['fields' => 'nonsense'])->assertUnprocessable();
        $this->postJson('/own-exercises')->assertUnprocessable();
        $this->postJson('/own-exercises', ['fields' => ['own_name' => 'Twice', 'ratio' => '4:6']])->assertCreated();
        $this->postJson('/own-exercises', ['fields' => ['own_name' => 'TWICE', 'ratio' => '4:5']])->assertJsonValidationErrors('own_name');
        self::assertSame(1, OwnExercise::query()->count());
    }

    public function test_a_clinic_keeps_so_many_of_its_own_and_no_more(): void
    {
        for ($n = 0; $n < OwnExercise::MOST; $n++) {
            $this->postJson('/own-exercises', ['fields' => ['own_name' => "Breath $n", 'ratio' => '4:6']])->assertCreated();
        }
        $this->postJson('/own-exercises', ['fields' => ['own_name' => 'One more', 'ratio' => '4:6']])->assertJsonValidationErrors('own_name');
    }

    public function test_an_own_breath_is_prescribed_under_its_name_and_stays_when_it_is_deleted(): void
    {
        $this->screen();
        $fields = ['own_name' => 'Harbour breath', 'ratio' => '3:2:5', 'own_right' => 'The jaw hangs.'];
        $key = $this->postJson('/own-exercises', ['fields' => $fields])->json('key');
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('choices.techniques', fn ($all) => collect($all)->last()['name'] === 'Harbour breath'));
        $version = $this->issue([...$fields, 'technique' => 'own']);
        $this->deleteJson("/own-exercises/$key")->assertNoContent();

        $this->get("/patients/{$this->patient->id}/versions/{$version->number}")->assertInertia(fn (AssertableInertia $page) => $page->where('version.items.0.name', 'Harbour breath'));
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('choices.techniques', fn ($all) => collect($all)->last()['name'] === 'Harbour breath'));
        [, $credential] = $this->device();
        auth()->forgetGuards();
        $item = $this->fromDevice($credential)->todayOnDevice()['items'][0];
        self::assertSame(['Harbour breath', ['The jaw hangs.']], [$item['name'], collect($item['told'])->firstWhere('part', 'right')['texts'] ?? null]);
    }

    public function test_an_own_breath_has_hands_routes_and_words_of_its_own_from_the_list_to_the_phone(): void
    {
        $this->screen();
        $this->get('/exercises')->assertInertia(fn (AssertableInertia $page) => $page
            ->where('own.positions', fn ($positions) => in_array('belly', array_column(collect($positions)->firstWhere('value', 'standing')['hands'], 'value'), true)
                && ! in_array('belly', array_column(collect($positions)->firstWhere('value', 'hands-and-knees')['hands'] ?? [], 'value'), true)));
        $fields = [
            'own_name' => 'Kettle breath', 'ratio' => '3:5', 'position' => 'standing', 'hands' => 'belly', 'route_in' => 'nose',
            'route_out' => 'pursed-lips', 'own_in' => 'as if smelling bread', 'own_out' => 'lips loose: pfff',
        ];
        $this->postJson('/own-exercises', ['fields' => [...$fields, 'own_in' => str_repeat('x', 31)]])->assertJsonValidationErrors('own_in');
        $key = $this->postJson('/own-exercises', ['fields' => $fields])->assertCreated()->json('key');
        $this->get("/exercises/$key")->assertInertia(fn (AssertableInertia $page) => $page->where('chosen.fields.own_in', 'as if smelling bread')->where('chosen.fields.hands', 'belly'));

        $defaults = null;
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(function (AssertableInertia $page) use (&$defaults) {
            $defaults = collect($page->toArray()['props']['choices']['techniques'])->firstWhere('name', 'Kettle breath')['defaults'];

            return $page->has('choices');
        });
        $this->issue([...array_filter($defaults, fn ($value) => $value !== null), 'breaths' => 3]);
        [, $credential] = $this->device();
        auth()->forgetGuards();
        $item = $this->fromDevice($credential)->todayOnDevice()['items'][0];
        $cues = collect($item['timeline']['segments'])->flatMap(fn ($segment) => $segment['cues'])->whereIn('kind', ['inhale', 'exhale'])->take(2)->values();
        self::assertSame(['own:as if smelling bread', 'own:lips loose: pfff'], $cues->pluck('how')->all());
        $told = implode(' ', array_merge(...array_column($item['told'], 'texts')));
        foreach (['Stand', 'on your belly', 'Breathe out through pursed lips'] as $words) {
            self::assertStringContainsString($words, $told);
        }
        // Nobody can record what stands in no list.
        $running = array_merge(...array_values(array_map(fn (array $of) => $of, VoiceScript::running($this->practitioner))));
        self::assertNotEmpty($running);
        self::assertSame([], preg_grep('/^own:/', array_map(strval(...), $running)));
    }

    public function test_another_breath_of_the_clinic_is_another_exercise(): void
    {
        $this->screen();
        $first = $this->issue(['technique' => 'own', 'own_name' => 'One', 'ratio' => '3:5']);
        $same = $this->issue(['technique' => 'own', 'own_name' => 'One', 'ratio' => '4:5'], 1, 'longer');
        $other = $this->issue(['technique' => 'own', 'own_name' => 'Two', 'ratio' => '4:5'], 2, 'another');
        $lineage = fn ($version) => $version->items()->sole()->lineage;

        self::assertSame($lineage($first), $lineage($same));
        self::assertNotSame($lineage($same), $lineage($other));
    }

    public function test_a_school_comes_with_its_defaults_and_its_view(): void
    {
        $this->screen();
        $answer = $this->postJson("/patients/{$this->patient->id}/bench/answer", ['school' => 'rib-mechanics', 'items' => [['technique' => 'extended-exhale']]])->assertOk();

        self::assertSame(['full', 'seated'], [$answer->json('items.0.fields.effort'), $answer->json('items.0.fields.position')]);
        self::assertContains('The ribs widen on all sides and come back.', collect($answer->json('items.0.told'))->firstWhere('part', 'right')['texts'] ?? []);
        $this->postJson("/patients/{$this->patient->id}/bench/answer", ['items' => [['technique' => 'square', 'school' => 'none']]])->assertJsonPath('items.0.errors.school', 'Choose one of the list.');
    }

    public function test_a_routine_is_copied_changed_kept_and_deleted(): void
    {
        $fields = RoutineFields::write(Shipped::routines()['end-of-shift']);
        $answer = $this->postJson('/routines/answer', ['fields' => $fields])->assertOk();
        $this->get('/routines/end-of-shift')->assertInertia(fn (AssertableInertia $page) => $page->where('is_own', false)
            ->where('answer.total_ms', $answer->json('figures.total_ms')));

        $fields['name'] = 'After the night shift';
        $fields['steps'][1]['breaths'] = 5;
        $key = $this->postJson('/routines', ['fields' => $fields])->assertCreated()->json('key');
        $this->get("/routines/$key")->assertInertia(fn (AssertableInertia $page) => $page->where('is_own', true)->where('fields.steps.1.breaths', 5));
        self::assertLessThan($answer->json('figures.total_ms'), $this->getJson("/routines/$key/play")->json('timeline.total_ms'));
        $this->putJson("/routines/$key", ['fields' => [...$fields, 'name' => 'After any shift']])->assertOk();
        self::assertSame('After any shift', OwnRoutine::query()->sole()->name);
        $this->deleteJson("/routines/$key")->assertNoContent();
        $this->get("/routines/$key")->assertNotFound();
    }

    public function test_what_is_wrong_with_a_routine_is_said_in_place(): void
    {
        $step = ['kind' => 'exercise', 'technique' => 'square'];
        $this->postJson('/routines/answer', ['fields' => ['name' => 'x', 'steps' => array_fill(0, 200, $step)]])
            ->assertJsonPath('errors.steps', 'A routine of 200 steps is longer than 20.')->assertJsonPath('figures', null);
        $this->postJson('/routines', ['fields' => ['name' => 'x', 'steps' => [[...$step, 'ratio' => '0:4']]]])->assertJsonValidationErrors('steps.0.ratio');
        $this->postJson('/routines', ['fields' => ['name' => '', 'steps' => [$step]]])->assertJsonValidationErrors('name');
        $this->postJson('/routines', ['fields' => 'nonsense'])->assertUnprocessable();
        $this->putJson('/routines/falling-asleep', ['fields' => ['name' => 'x', 'steps' => [$step]]])->assertNotFound();
        self::assertSame(0, OwnRoutine::query()->count());
    }

    public function test_saying_that_it_is_enough_counts_in_full(): void
    {
        $this->screen();
        $version = $this->issue(['technique' => 'even', 'ratio' => '4:4', 'breaths' => 5, 'parameters' => ['steps' => 3]]);
        [, $credential] = $this->device();
        auth()->forgetGuards();
        $this->fromDevice($credential);
        $log = fn (array $with) => $this->practiceLog($version, ['breaths_done' => 5, 'seconds_done' => 40, ...$with]);

        $this->outbox('practice', $log(['enough_step' => 1]))->assertStored();
        self::assertSame([5, 5, 40], array_values(Practice::query()->sole()->only(['breaths_done', 'breaths_prescribed', 'seconds_prescribed'])));
        $this->outbox('practice', $log(['enough_step' => 3]))->assertRefused('enough_step');
        $this->outbox('practice', $log(['enough_step' => 'x']))->assertRefused('enough_step');
        auth()->forgetGuards();
        self::assertSame('5 of 5 breaths, enough at 4:4', $this->course()['practices'][0]['got']);
    }

    public function test_every_technique_that_is_planned_can_be_issued_and_reaches_the_phone(): void
    {
        $this->screen();
        $based = 0;
        [, $credential] = $this->device();
        foreach (Catalogue::all() as $technique) {
            if ($technique->isRecovery) {
                continue;
            }
            $version = $this->issue(['technique' => $technique->key, 'ratio' => $technique->ratio, 'position' => $technique->positions[0]->value], $based, $based === 0 ? null : 'next');
            $based = $version->number;
            self::assertSame($technique->key, $version->items()->sole()->item()->prescription->technique->key);
        }
        auth()->forgetGuards();
        $this->travel(1)->days();
        self::assertSame('shoulder-rolls', $this->fromDevice($credential)->todayOnDevice()['items'][0]['technique']);
    }
}
