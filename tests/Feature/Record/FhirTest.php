<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use App\Actions\Programme\IssueVersion;
use App\Fhir\PatientBundle;
use App\Models\ChosenSymptom;
use App\Models\Consent;
use App\Models\LetterDraft;
use App\Models\Measurement;
use App\Models\OwnQuestionnaire;
use App\Models\RaisedRedFlag;
use App\Models\Screening;
use App\Records\RecordZip;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Assessment\Measure;
use IvoryPace\Exchange\QuestionnaireReader;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Programme\VersionOrder;
use PHPUnit\Framework\Attributes\Depends;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** A record as one FHIR bundle says what the record says; two validators look at it in {@see RecordFileTest}, over the whole demo. */
final class FhirTest extends TestCase
{
    use ReadsFhir, RefreshDatabase, Scenario;

    /** @var list<string> */
    private static array $bundles = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(CarbonImmutable::parse('2026-10-21 09:00:00'));
        $this->clinicWithPatient();
        $this->patient->refresh();
    }

    public function test_what_was_measured_stands_with_its_code_unit_and_method_and_a_struck_value_as_a_mistake(): void
    {
        $symptom = ChosenSymptom::query()->create(['patient_id' => $this->patient->id, 'name' => 'tension']);
        $this->measured(Measure::Saturation, 97.0);
        $this->measured(Measure::Symptom, 6.0, ['chosen_symptom_id' => $symptom->id]);
        $this->measured(Measure::RibExpansion, 4.5, ['details' => ['words' => 'round the lower ribs']]);
        $this->measured(Measure::Pulse, 250.0, ['struck_at' => now(), 'struck_by' => $this->practitioner->id, 'struck_reason' => 'mistyped']);
        [$saturation, $rated, $ribs, $struck] = $this->of('Observation');
        self::assertSame(['2708-6', '59408-5'], array_column($saturation['code']['coding'], 'code'));
        self::assertSame(['value' => 97, 'unit' => '%', 'system' => 'http://unitsofmeasure.org', 'code' => '%'], $saturation['valueQuantity']);
        self::assertSame(['final', 'vital-signs', 'taken, sitting', '2026-10-21T09:00:00Z'], [$saturation['status'], $saturation['category'][0]['coding'][0]['code'], str_replace('seated', 'sitting', $saturation['method']['text']), $saturation['effectiveDateTime']]);
        self::assertSame(['Tension', 'survey', ['value' => 6, 'unit' => 'of 10']], [$rated['code']['text'], $rated['category'][0]['coding'][0]['code'], $rated['valueQuantity']]);
        self::assertArrayNotHasKey('coding', $rated['code']);
        self::assertSame(['exam', 4.5, 'cm', 'round the lower ribs'], [$ribs['category'][0]['coding'][0]['code'], $ribs['valueQuantity']['value'], $ribs['valueQuantity']['code'], $ribs['note'][0]['text']]);
        self::assertSame(['entered-in-error', 'mistyped'], [$struck['status'], $struck['note'][0]['text']]);
        self::$bundles[] = RecordZip::json(PatientBundle::of($this->patient->refresh()));
    }

    public function test_screenings_say_what_was_answered_and_which_one_was_corrected_and_red_flags_stay_open_until_somebody_looked(): void
    {
        $this->screen(['flag.pregnancy', 'red.chest-pain']);
        $first = Screening::query()->sole();
        $first->answers()->where('question', 'flag.pregnancy')->firstOrFail();
        $second = Screening::query()->create(['patient_id' => $this->patient->id, 'practitioner_id' => $this->practitioner->id, 'completed_at' => now()->addHour(), 'corrects_id' => $first->id, 'correction_reason' => 'misheard']);
        $second->answers()->create(['question' => 'flag.pregnancy', 'answer' => true, 'ends_on' => '2027-03-01', 'pregnancy_weeks' => 19]);
        $this->screen([]);
        [$wrong, $right, $later] = $this->of('QuestionnaireResponse');
        self::assertSame(['entered-in-error', 'amended', 'completed'], [$wrong['status'], $right['status'], $later['status']]);
        self::assertSame([
            'linkId' => 'flag.pregnancy', 'answer' => [['valueBoolean' => true, 'item' => [
                ['linkId' => 'flag.pregnancy.ends_on', 'answer' => [['valueDate' => '2027-03-01']]], ['linkId' => 'flag.pregnancy.pregnancy_weeks', 'answer' => [['valueInteger' => 19]]],
            ]]],
        ], $right['item'][0]);
        $questionnaire = $this->of('Questionnaire');
        self::assertCount(1, $questionnaire);
        $texts = array_column($questionnaire[0]['item'], 'text', 'linkId');
        self::assertSame('Chest pain?', $texts['red.chest-pain']);
        self::assertSame([], array_diff(array_column($wrong['item'], 'linkId'), array_keys($texts)), 'each answer has its question');
        self::assertSame(['active', 'Chest pain', ['start' => '2026-10-21T09:00:00Z']], [$this->of('Flag')[0]['status'], $this->of('Flag')[0]['code']['text'], $this->of('Flag')[0]['period']]);
        $this->travel(2)->hours();
        $this->actOnRedFlags();
        self::assertFalse(RaisedRedFlag::query()->sole()->isOpen());
        self::assertSame(['inactive', ['start' => '2026-10-21T09:00:00Z', 'end' => '2026-10-21T11:00:00Z']], [$this->of('Flag')[0]['status'], $this->of('Flag')[0]['period']]);
        self::$bundles[] = RecordZip::json(PatientBundle::of($this->patient->refresh()));
    }

    public function test_questionnaires_stand_with_their_questions_answers_and_score_and_read_back_as_forms(): void
    {
        foreach (['gad-7' => [1 => 3, 2 => 2, 3 => 1, 4 => 0, 5 => 0, 6 => 1], 'mmrc' => []] as $form => $answers) {
            $this->patient->askedForms()->create([
                'form' => $form, 'answered_on' => 'device', 'practitioner_id' => $this->practitioner->id, 'asked_at' => now(), 'answers' => $answers,
                'answered' => count($answers), 'completed_at' => $answers === [] ? null : now(), 'score' => $answers === [] ? null : 8.17, 'missing' => 1,
            ]);
        }
        $bring = QuestionnaireReader::read((string) file_get_contents(base_path('database/seeders/Demo/questionnaire.json')))[0] ?? self::fail('It is read.');
        OwnQuestionnaire::query()->create(['clinic_id' => $this->patient->clinic_id, 'practitioner_id' => $this->practitioner->id, 'name' => $bring->title, 'fields' => $bring->write()]);
        $this->patient->askedForms()->create(['form' => $bring->key(), 'asked' => $bring->write(), 'answered_on' => 'room', 'practitioner_id' => $this->practitioner->id, 'asked_at' => now(), 'answers' => ['rested' => 2, 'minutes' => 12, 'words' => "a\nb"], 'answered' => 3]);
        [$gad, $own] = $this->of('QuestionnaireResponse');
        self::assertSame(['completed', 'Patient', 6], [$gad['status'], $gad['author']['type'], count($gad['item'])], 'what nobody answered is not there');
        self::assertSame(['3', 'Nearly every day', 3.0], [$gad['item'][0]['answer'][0]['valueCoding']['code'], $gad['item'][0]['answer'][0]['valueCoding']['display'], $gad['item'][0]['answer'][0]['valueCoding']['extension'][0]['valueDecimal']]);
        self::assertSame(['in-progress', 'Practitioner', ['Hardly'], 12, "a\nb"], [$own['status'], $own['author']['type'], array_column(array_column($own['item'][0]['answer'], 'valueCoding'), 'display'), $own['item'][1]['answer'][0]['valueInteger'], $own['item'][2]['answer'][0]['valueString']]);
        $score = $this->of('Observation')[0];
        self::assertSame(['70274-6', 8.17, '{score}', '1 missing, scaled up'], [$score['code']['coding'][0]['code'], $score['valueQuantity']['value'], $score['valueQuantity']['code'], $score['note'][0]['text']]);
        self::assertSame('69737-5', $this->of('Questionnaire')[0]['code'][0]['code']);
        foreach ($this->of('Questionnaire') as $index => $questionnaire) {
            [$form, $errors] = QuestionnaireReader::read((string) json_encode($questionnaire));
            self::assertSame([], $errors);
            self::assertEquals($index === 1 ? $bring : 'GAD-7', $index === 1 ? $form : $form?->title);
        }
        self::$bundles[] = RecordZip::json(PatientBundle::of($this->patient->refresh()));
    }

    public function test_each_version_is_a_plan_and_what_it_replaced_or_what_was_withdrawn_is_told_apart(): void
    {
        $this->screen();
        $first = app(IssueVersion::class)($this->patient, $this->practitioner, new VersionOrder(
            items: [['technique' => 'extended-exhale', 'ratio' => '4:0:5:1', 'position' => 'seated']], weeks: 4, reviewOn: '2026-11-04', startsOn: '2026-10-21',
            ratedSymptom: 'tension', reason: null, basedOn: 0, goal: ['words' => 'Sleep through', 'measure' => 'tension', 'target' => '3', 'direction' => 'at-most'],
        ));
        $this->travel(7)->days();
        $second = $this->issue([], $first->number, 'It went well.');
        $second->update(['withdrawn_at' => now(), 'withdrawn_by' => $this->practitioner->id, 'withdrawn_reason' => 'meant for somebody else']);
        $this->travel(7)->days();
        $this->issue([], $first->number, 'A longer exhale.');
        [$old, $withdrawn, $now] = $this->of('CarePlan');
        self::assertSame(['revoked', 'entered-in-error', 'active'], [$old['status'], $withdrawn['status'], $now['status']]);
        self::assertSame('urn:uuid:'.$old['id'], $now['replaces'][0]['reference'], 'not the withdrawn one');
        self::assertStringContainsString('xhale', $now['activity'][0]['detail']['description']);
        self::assertSame(['in-progress', 'A longer exhale.'], [$now['activity'][0]['detail']['status'], $now['note'][0]['text']]);
        $goal = $this->of('Goal')[0];
        self::assertSame(['urn:uuid:'.$goal['id'], 'Sleep through', 3, '<='], [$old['goal'][0]['reference'], $goal['description']['text'], $goal['target'][0]['detailQuantity']['value'], $goal['target'][0]['detailQuantity']['comparator']]);
        $this->patient->programmes()->sole()->update(['closed_on' => '2026-12-20', 'outcome' => 'goal-reached', 'outcome_note' => 'Well.']);
        self::assertSame(['completed', '2026-12-20', 'Closed: goal reached. Well.'], [$this->of('CarePlan')[2]['status'], $this->of('CarePlan')[2]['period']['end'], $this->of('CarePlan')[2]['note'][1]['text']]);
        self::$bundles[] = RecordZip::json(PatientBundle::of($this->patient->refresh()));
    }

    public function test_practice_stands_by_weeks_of_the_patients_days_and_says_what_the_rows_say(): void
    {
        $this->screen();
        $version = $this->issue();
        [$device] = $this->device();
        // Into the night after Sunday, which is Sunday still.
        foreach (['2026-10-23 10:00', '2026-10-26 01:30', '2026-10-26 10:00'] as $at) {
            $this->travelTo(CarbonImmutable::parse($at, 'UTC'));
            $this->store($device, $this->practiceLog($version));
        }
        $weeks = array_values(array_filter($this->of('Observation'), fn (array $each) => isset($each['component'])));
        self::assertSame([['2026-10-19', 2], ['2026-10-26', 1]], array_map(fn (array $week) => [$week['effectivePeriod']['start'], $week['component'][0]['valueInteger']], $weeks));
        self::assertSame((int) $this->patient->practices()->sum('seconds_done'), (int) round(60 * array_sum(array_map(fn (array $week) => $week['component'][1]['valueQuantity']['value'], $weeks))));
        self::$bundles[] = RecordZip::json(PatientBundle::of($this->patient->refresh()));
    }

    public function test_consents_letters_and_notes_stand_in_it_and_a_letters_bytes_lie_beside_it(): void
    {
        $this->screen();
        $this->issue();
        $this->actingAs($this->practitioner, 'practitioner');
        [$device] = $this->device(pin: null);
        foreach (['accepted', 'withdrawn'] as $kind) {
            Consent::query()->create(['patient_id' => $this->patient->id, 'device_id' => $device->id, 'text_hash' => '', 'version' => '2026-11', 'kind' => $kind, 'given_at' => now()]);
        }
        $this->post("/patients/{$this->patient->id}/letters", ['kind' => 'progress'])->assertSessionHasNoErrors();
        $draft = LetterDraft::query()->sole();
        $draft->update(['addressee' => 'Dr Vale']);
        $this->postJson("/patients/{$this->patient->id}/letters/progress/signature", ['revision' => $draft->revision])->assertSuccessful();
        self::assertSame([['inactive', 'permit'], ['inactive', 'deny']], array_map(fn (array $each) => [$each['status'], $each['provision']['type']], $this->of('Consent')));
        $letter = $this->of('DocumentReference')[0]['content'][0]['attachment'];
        $path = (string) tempnam(sys_get_temp_dir(), 'record');
        file_put_contents($path, RecordZip::of($this->patient));
        $bytes = RecordZip::read($path)['papers'][1];
        unlink($path);
        self::assertSame(['letters/1.pdf', strlen($bytes), base64_encode(sha1($bytes, true))], [$letter['url'], $letter['size'], $letter['hash']]);
        self::$bundles[] = RecordZip::json(PatientBundle::of($this->patient->refresh()));
    }

    public function test_an_empty_record_is_a_bundle_too_and_no_two_records_share_an_address(): void
    {
        self::$bundles[] = RecordZip::json(PatientBundle::of($this->patient));
        $mine = array_column(PatientBundle::of($this->patient)['entry'], 'fullUrl');
        $this->clinicWithPatient();
        $this->patient->refresh();
        self::assertSame([], array_intersect($mine, array_column(PatientBundle::of($this->patient)['entry'], 'fullUrl')));
    }

    /** Once for all of them: it takes a while to read what FHIR is. */
    #[Depends('test_what_was_measured_stands_with_its_code_unit_and_method_and_a_struck_value_as_a_mistake')]
    #[Depends('test_screenings_say_what_was_answered_and_which_one_was_corrected_and_red_flags_stay_open_until_somebody_looked')]
    #[Depends('test_questionnaires_stand_with_their_questions_answers_and_score_and_read_back_as_forms')]
    #[Depends('test_each_version_is_a_plan_and_what_it_replaced_or_what_was_withdrawn_is_told_apart')]
    #[Depends('test_practice_stands_by_weeks_of_the_patients_days_and_says_what_the_rows_say')]
    #[Depends('test_consents_letters_and_notes_stand_in_it_and_a_letters_bytes_lie_beside_it')]
    #[Depends('test_an_empty_record_is_a_bundle_too_and_no_two_records_share_an_address')]
    public function test_two_validators_have_nothing_to_say_of_any_of_these(): void
    {
        self::assertCount(7, self::$bundles);
        $shipped = [(string) file_get_contents(base_path('docs/formats/example/fhir.json')), (string) file_get_contents(base_path('database/seeders/Demo/questionnaire.json'))];
        self::assertSame([], $this->validated([...self::$bundles, ...$shipped]));
        $broken = (array) json_decode(self::$bundles[0], true);
        unset($broken['entry'][2]['resource']['status']);
        $broken['entry'][3]['resource']['subject']['reference'] = 'urn:uuid:nobody';
        $said = implode(' ', array_merge(...array_values($this->validated([(string) json_encode($broken)]))));
        foreach (['fhir: ', 'medplum: ', 'a reference leads nowhere: urn:uuid:nobody'] as $which) {
            self::assertStringContainsString($which, $said, 'They look.');
        }
    }

    /** @param  array<string, mixed>  $with */
    private function measured(Measure $measure, float $value, array $with = []): void
    {
        Measurement::query()->create(['patient_id' => $this->patient->id, 'practitioner_id' => $this->practitioner->id, 'measure' => $measure, 'value' => $value, 'details' => null, 'position' => Position::Seated, 'method' => 'taken', 'measured_at' => now(), ...$with]);
    }

    /** @return list<array<string, mixed>> */
    private function of(string $kind): array
    {
        return array_values(array_filter(array_column(PatientBundle::of($this->patient->refresh())['entry'], 'resource'), fn (array $resource) => $resource['resourceType'] === $kind));
    }
}
