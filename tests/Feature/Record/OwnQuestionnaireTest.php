<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use App\Actions\Records\ReadRecord;
use App\Models\NewFinding;
use App\Models\OwnQuestionnaire;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\RaisedRedFlag;
use App\Records\RecordZip;
use Carbon\CarbonImmutable;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use IvoryPace\Assessment\Form;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** A clinic brings its own form: it is read whole or not at all, asked here or at home, counted as it says, and claims nothing. */
final class OwnQuestionnaireTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const ORDINAL = 'http://hl7.org/fhir/StructureDefinition/ordinalValue';

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(CarbonImmutable::parse('2026-10-21 09:00:00'));
        $this->clinicWithPatient();
        $this->screen();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_it_is_asked_in_the_room_and_at_home_and_its_answers_are_read(): void
    {
        $form = $this->brought();
        [, $credential] = $this->device();
        $id = (string) $this->postJson($this->url('forms'), ['form' => $form->key(), 'on' => 'device'])->assertCreated()
            ->assertJsonPath('form.questions.0.options.1.label', 'Badly')->assertJsonPath('form.questions.2.kind', 'text')->json('form.id');
        auth()->forgetGuards();
        $this->fromDevice($credential);
        $this->unlock();
        $asked = $this->getJson('/api/v1/today')->json('asked.0');
        self::assertSame([$id, 'Nights', ['choice', 'integer', 'text'], [false, false, false]], [$asked['id'], $asked['title'], array_column($asked['questions'], 'kind'), array_column($asked['questions'], 'urgent')]);
        $this->outbox('form', ['form' => $id, 'answers' => ['red.chest-pain' => 2], 'done' => true])->assertRefused('answers');
        $this->outbox('form', ['form' => $id, 'answers' => ['red.chest-pain' => 1, 'n' => 1000], 'done' => true])->assertRefused('answers');
        $this->outbox('form', ['form' => $id, 'answers' => ['red.chest-pain' => 1, 'n' => 3, 'w' => str_repeat('x', 1001)], 'done' => true])->assertRefused('answers');
        $this->outbox('form', ['form' => $id, 'answers' => ['red.chest-pain' => 1, 'w' => 'x'], 'done' => true])->assertRefused('answers');
        $answers = ['red.chest-pain' => 1, 'n' => 3, 'w' => ' The window, =1+1 '];
        $this->outbox('form', ['form' => $id, 'answers' => $answers, 'done' => true])->assertStored();
        auth()->forgetGuards();
        $this->actingAs($this->practitioner, 'practitioner');
        $line = $this->line($form);
        self::assertSame([2.5, null, 0, 'own device'], [$line['last']['score'], $line['last']['band'], $line['last']['missing'], $line['last']['where']]);
        self::assertSame([['text' => 'How was it?', 'said' => 'Badly'], ['text' => 'How often up?', 'said' => '3'], ['text' => 'What helped?', 'said' => 'The window, =1+1']], $line['answers']);
        self::assertSame([0, 0], [RaisedRedFlag::query()->count(), NewFinding::query()->count()], 'whatever its questions are called');
        self::assertStringNotContainsString('window', (string) DB::table('asked_forms')->where('id', $id)->value('answers'), 'stored encrypted');

        $this->travel(7)->days();
        $again = (string) $this->postJson($this->url('forms'), ['form' => $form->key(), 'on' => 'room'])->json('form.id');
        $this->putJson($this->url("forms/$again"), ['answers' => ['red.chest-pain' => 0, 'n' => 0], 'done' => true])->assertOk();
        self::assertSame('2.5 points fewer; what that says is not known here, so nothing is claimed', $this->line($form)['change']);
        $this->get($this->url('record'))->assertOk();
        $this->issue();
        self::assertSame([['Nights', 2.5]], array_map(fn (array $each) => [$each['name'], $each['most']], $this->course()['programme']['questionnaires']));
        foreach (["update asked_forms set asked = '{}'", "update asked_forms set form = 'gad-7'"] as $statement) {
            try {
                DB::statement($statement);
                self::fail($statement);
            } catch (QueryException $refusal) {
                self::assertStringContainsString('cannot be changed', $refusal->getMessage());
            }
        }
    }

    public function test_a_file_that_cannot_be_asked_is_refused_in_words_and_nothing_of_it_is_kept(): void
    {
        $this->post('/questionnaires')->assertSessionHasErrors(['file' => 'Choose the file, a FHIR Questionnaire as JSON.']);
        $this->post('/questionnaires', ['file' => 'text'])->assertSessionHasErrors('file');
        foreach ([
            "\xff\xfe{" => 'This is not JSON', '[]' => 'This is no FHIR Questionnaire', '' => 'This is not JSON',
            $this->fhir(['item' => [['linkId' => 'a', 'text' => 'When?', 'type' => 'date']]]) => '/item/0/type: “date” is not asked here',
            $this->fhir(['item' => array_fill(0, 30, ['type' => 'x'])]) => 'more. Nothing of it is kept.',
            str_repeat(' ', 205_000) => 'at most 200 kB',
        ] as $bytes => $why) {
            $said = $this->upload((string) $bytes)->assertSessionHasErrors('file')->getSession()->get('errors')?->first('file');
            self::assertStringContainsString($why, (string) $said);
        }
        self::assertSame(0, OwnQuestionnaire::query()->count());
        $this->brought();
        $this->upload($this->fhir())->assertSessionHasErrors(['file' => 'There is one of this name already: “Nights”.']);
    }

    public function test_it_leaves_as_it_came_and_what_was_answered_stays_when_it_is_asked_no_more(): void
    {
        $form = $this->brought();
        $own = OwnQuestionnaire::query()->sole();
        $file = $this->get("/questionnaires/{$own->id}/file")->assertOk()->assertHeader('Content-Type', 'application/fhir+json')->getContent();
        $id = (string) $this->postJson($this->url('forms'), ['form' => $form->key(), 'on' => 'room'])->json('form.id');
        self::assertTrue($this->line($form)['is_asked']);
        $this->delete("/questionnaires/{$own->id}")->assertRedirect();
        // What was begun may be brought to its end.
        $this->postJson($this->url('forms'), ['form' => $form->key(), 'on' => 'room'])->assertCreated()->assertJsonPath('form.id', $id);
        $this->putJson($this->url("forms/$id"), ['answers' => ['red.chest-pain' => 0, 'n' => 7], 'done' => true])->assertOk();
        self::assertSame([0.0, false], [(float) $this->line($form)['last']['score'], $this->line($form)['is_asked']]);
        $this->postJson($this->url('forms'), ['form' => $form->key(), 'on' => 'room'])->assertJsonValidationErrors('form');
        $this->upload((string) $file)->assertSessionHasNoErrors();
        self::assertSame($form->key(), OwnQuestionnaire::query()->sole()->form()->key());
        // Into another clinic with the record: the questions come along, the clinic's list stays its own.
        $other = Practitioner::factory()->create();
        $path = (string) tempnam(sys_get_temp_dir(), 'record');
        file_put_contents($path, RecordZip::of($this->patient->refresh()));
        $copy = app(ReadRecord::class)($path, $other);
        unlink($path);
        $this->actingAs($other, 'practitioner');
        self::assertSame('7', $this->line($form, $copy)['answers'][1]['said']);
        $this->getJson("/questionnaires/{$own->id}/file")->assertNotFound();
        self::assertSame([], $this->props($this->get('/clinic'))['questionnaires']);
        $this->postJson("/patients/{$copy->id}/forms", ['form' => $form->key(), 'on' => 'room'])->assertJsonValidationErrors('form');
    }

    public function test_nobody_else_sees_or_removes_it(): void
    {
        $this->brought();
        $own = OwnQuestionnaire::query()->sole();
        $this->actingAs(Practitioner::factory()->create(), 'practitioner');
        $this->getJson("/questionnaires/{$own->id}/file")->assertNotFound();
        $this->deleteJson("/questionnaires/{$own->id}")->assertNotFound();
        self::assertSame(1, OwnQuestionnaire::query()->count());
    }

    private function brought(): Form
    {
        $this->upload($this->fhir())->assertSessionHasNoErrors()->assertSessionHas('flash', '“Nights” is asked under Measure from now on.');

        return OwnQuestionnaire::query()->sole()->form();
    }

    /** @param  array<string, mixed>  $with */
    private function fhir(array $with = []): string
    {
        return (string) json_encode(['resourceType' => 'Questionnaire', 'title' => 'Nights', 'status' => 'active', 'item' => [
            // Named like a question of the screening, and none.
            ['linkId' => 'red.chest-pain', 'text' => 'How was it?', 'type' => 'choice', 'answerOption' => [
                ['valueCoding' => ['display' => 'Well', 'extension' => [['url' => self::ORDINAL, 'valueDecimal' => 0]]]],
                ['valueCoding' => ['display' => 'Badly', 'extension' => [['url' => self::ORDINAL, 'valueDecimal' => 2.5]]]],
            ]],
            ['linkId' => 'n', 'text' => 'How often up?', 'type' => 'integer', 'extension' => [['url' => 'http://hl7.org/fhir/StructureDefinition/maxValue', 'valueInteger' => 99]]],
            ['linkId' => 'w', 'text' => 'What helped?', 'type' => 'string'],
        ], ...$with]);
    }

    /** @return TestResponse<Response> */
    private function upload(string $bytes): TestResponse
    {
        return $this->post('/questionnaires', ['file' => UploadedFile::fake()->createWithContent('form.json', $bytes)]);
    }

    /** @return array<string, mixed> */
    private function line(Form $form, ?Patient $patient = null): array
    {
        $lines = $this->props($this->get($patient === null ? $this->url('measure') : "/patients/{$patient->id}/measure"))['desk']['questionnaires'];

        return collect($lines)->firstWhere('key', $form->key()) ?? self::fail('It is on the list.');
    }

    private function url(string $path): string
    {
        return "/patients/{$this->patient->id}/$path";
    }
}
