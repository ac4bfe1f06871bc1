<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use App\Actions\Records\ReadRecord;
use App\Fhir\PatientBundle;
use App\Models\ChosenSymptom;
use App\Models\HabitTick;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use App\Models\SecondLook;
use App\Models\SessionNote;
use App\Models\TrailEntry;
use App\Records\Carried;
use App\Records\Csv;
use App\Records\RecordOpens;
use App\Records\RecordOut;
use App\Records\RecordTables;
use App\Records\RecordZip;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Illuminate\Validation\ValidationException;
use JsonSchema\Validator;
use LogicException;
use Tests\Feature\AtTheQuay;
use Tests\Feature\Scenario;
use Tests\TestCase;
use ZipArchive;

/** A record leaves as a file, and another clinic reads it back: whole, or not at all. */
final class RecordFileTest extends TestCase
{
    use AtTheQuay, ReadsFhir, RefreshDatabase, Scenario;

    /** Of the demo; docs/formats/example is this record, unpacked. */
    private const EXAMPLE = 'Ola Venning';

    /** @var list<string> */
    private array $made = [];

    protected function tearDown(): void
    {
        array_map(unlink(...), array_filter($this->made, is_file(...)));
        parent::tearDown();
    }

    public function test_every_record_of_the_demo_is_the_same_after_out_in_and_out(): void
    {
        $this->atTheQuay();
        $this->whatTheDemoLacks();
        $elsewhere = Practitioner::query()->where('email', 'gwen@millrace.example')->sole();
        $this->actingAs($elsewhere, 'practitioner');
        $copies = $bundles = [];
        $seen = array_fill_keys(array_keys(Carried::TABLES), 0);
        foreach (Patient::query()->where('clinic_id', '<>', $elsewhere->clinic_id)->orderBy('id')->get() as $patient) {
            $zip = RecordZip::of($patient);
            $document = RecordOut::document($patient);
            $copy = app(ReadRecord::class)($this->file($zip), $elsewhere);
            self::assertSame($elsewhere->clinic_id, $copy->clinic_id);
            $copies[] = $copy->id;
            $this->isByTheSchema(RecordZip::json($document));
            self::assertSame(RecordZip::json($document), RecordZip::json(RecordOut::document($copy)), $patient->name);
            self::assertSame(RecordTables::of($patient), RecordTables::of($copy), $patient->name);
            self::assertSame(RecordOut::papers($patient), RecordOut::papers($copy));
            // Once more, from the copy: the very same, but for the names of FHIR's resources and the clinic's.
            $again = RecordZip::of($copy);
            self::assertSame($this->hashes($zip), $this->hashes($again));
            $bundle = RecordZip::json(PatientBundle::of($patient));
            self::assertSame($this->comparable($bundle), $this->comparable(RecordZip::json(PatientBundle::of($copy))), $patient->name);
            array_push($bundles, $bundle);
            foreach ($document['tables'] as $table => $rows) {
                $seen[$table] += count($rows);
            }
            foreach (['', '/record', '/screening', '/measure', '/bench', '/letters', '/access'] as $page) {
                $this->get("/patients/{$copy->id}$page")->assertOk();
            }
        }
        self::assertSame([], array_keys(array_filter($seen, fn (int $rows) => $rows === 0)), 'Each table has a row somewhere in the demo.');
        if (getenv('WRITE_SNAPSHOTS')) {
            $this->writeExample(Patient::query()->where('name', self::EXAMPLE)->where('clinic_id', '<>', $elsewhere->clinic_id)->sole());
        }
        self::assertGreaterThan(27, count($bundles));
        self::assertSame([], $this->validated($bundles));
        // Nobody can sign in as one of those who came along as names, and none of the devices opens.
        self::assertSame(0, Practitioner::query()->where('email', 'like', '%@record.invalid')->whereNull('ended_at')->count());
        self::assertSame(0, DB::table('devices')->whereIn('patient_id', $copies)->whereNull('revoked_at')->count());
    }

    public function test_the_example_that_is_shipped_reads_in_and_leaves_as_it_came(): void
    {
        $by = Practitioner::factory()->create();
        $bytes = [];
        foreach (glob(base_path('docs/formats/example/*')) ?: [] as $path) {
            $bytes[basename($path)] = (string) file_get_contents($path);
        }
        $zip = $this->file('');
        unlink($zip);
        $in = new ZipArchive;
        $in->open($zip, ZipArchive::CREATE);
        array_map($in->addFromString(...), array_keys($bytes), $bytes);
        $in->close();
        $copy = app(ReadRecord::class)($zip, $by);
        self::assertSame(self::EXAMPLE, $copy->name);
        self::assertSame($bytes['record.json'], RecordZip::json(RecordOut::document($copy)));
        self::assertSame([$bytes['practices.csv'], $bytes['diary.csv'], $bytes['measures.csv']], array_values(RecordTables::of($copy)));
        self::assertSame($this->comparable($bytes['fhir.json']), $this->comparable(RecordZip::json(PatientBundle::of($copy))));
        $this->isByTheSchema($bytes['record.json']);
    }

    public function test_whoever_takes_it_out_types_their_password_and_it_stands_in_the_trail(): void
    {
        $this->scene();
        $url = "/patients/{$this->patient->id}/record.zip";
        $this->postJson($url, [])->assertUnprocessable()->assertJsonPath('message', 'Type your password: this needs to be you.');
        $this->postJson($url, ['your_password' => 'not it at all'])->assertUnprocessable()->assertJsonPath('message', 'This is not your password.');
        $answer = $this->postJson($url, ['your_password' => 'a-long-password'])->assertOk()->assertHeader('Content-Type', 'application/zip');
        self::assertSame(['manifest.json', 'record.json', 'fhir.json', 'practices.csv', 'diary.csv', 'measures.csv', 'sheets/1.pdf'], $this->names((string) $answer->getContent()));
        self::assertSame(1, TrailEntry::query()->where('kind', 'export')->where('what', 'record.zip')->count());
        foreach (['password', 'credential_hash', 'token_hash', 'second_factor'] as $secret) {
            self::assertStringNotContainsString($secret, (string) $answer->getContent());
        }
        [, $credential] = $this->device();
        $this->fromDevice($credential)->get('/api/v1/record.zip')->assertStatus(423);
        $copy = $this->unlock()->get('/api/v1/record.zip')->assertOk()->getContent();
        self::assertContains('record.json', $this->names((string) $copy));
        self::assertSame(1, TrailEntry::query()->where('what', 'devices/record')->count());
    }

    public function test_a_colleague_who_is_known_by_registration_is_the_author_and_others_are_names(): void
    {
        $this->scene();
        $this->practitioner->update(['name' => 'Nora Ashgrove', 'registration' => 'HQ 114']);
        $zip = RecordZip::of($this->patient);
        $other = Practitioner::factory()->create(['role' => Role::Lead]);
        $known = Practitioner::factory()->create(['clinic_id' => $other->clinic_id, 'name' => 'Nora Ashgrove', 'registration' => 'HQ 114']);
        $this->actingAs($other, 'practitioner');
        $this->upload($zip)->assertSessionHasNoErrors();
        $copy = Patient::query()->where('clinic_id', $other->clinic_id)->sole();
        self::assertSame([$known->id], $copy->screenings()->pluck('practitioner_id')->unique()->all());
        $known->update(['registration' => 'another']);
        $this->upload($zip)->assertSessionHasNoErrors();
        $name = Practitioner::query()->where('clinic_id', $other->clinic_id)->where('email', 'like', '%@record.invalid')->sole();
        self::assertSame(['Nora Ashgrove', true], [$name->name, $name->ended_at !== null]);
        $this->get('/clinic')->assertInertia(fn ($page) => $page->where('people', fn ($people) => ! collect($people)->contains('id', $name->id)));
        // Once more: the same name, and it is said that the record is here already.
        self::assertStringContainsString('Another record here has this name and date of birth', (string) $this->upload($zip)->getSession()->get('flash'));
        self::assertSame(1, Practitioner::query()->where('clinic_id', $other->clinic_id)->where('email', 'like', '%@record.invalid')->count());
        self::assertSame(3, TrailEntry::query()->where('what', 'patients/file')->where('kind', 'write')->count());
    }

    public function test_a_file_that_is_damaged_or_made_up_is_refused_whole_with_its_reason(): void
    {
        $this->scene();
        $zip = RecordZip::of($this->patient);
        $before = $this->counts();
        $refused = function (string $bytes, string $why, string $what = ''): void {
            $problem = (string) $this->upload($bytes)->getSession()->get('errors')?->first('file');
            self::assertStringContainsString($why, $problem, $what);
            self::assertStringEndsWith('Nothing of it is stored.', $problem);
        };
        $this->post('/patients/file', [])->assertSessionHasErrors(['file' => 'Choose the file, a record.zip.']);
        $this->post('/patients/file', ['file' => 'a text'])->assertSessionHasErrors('file');
        $refused('no zip at all', 'This is not a ZIP file, or it is cut off.');
        $refused(substr($zip, 0, (int) (strlen($zip) / 2)), 'This is not a ZIP file, or it is cut off.');
        $refused($this->changed($zip, fn (ZipArchive $in) => $in->addFromString('measures.csv', 'other')), '“measures.csv” is damaged: it is not what manifest.json says.');
        $refused($this->changed($zip, fn (ZipArchive $in) => $in->deleteName('diary.csv')), '“diary.csv” is named in manifest.json and missing.');
        $refused($this->changed($zip, fn (ZipArchive $in) => $in->addFromString('../outside.txt', 'x')), '“../outside.txt” has a name that no file of a record has.');
        $refused($this->changed($zip, fn (ZipArchive $in) => $in->addFromString('more.csv', 'x')), '“more.csv” is not named in manifest.json.');
        $refused($this->changed($zip, fn (ZipArchive $in) => $in->addFromString('bomb.csv', str_repeat("\0", 41_000_000))), 'Unpacked, this file would be larger than 40 MB');
        foreach ([
            ['version', 2, 'record.json is of version 2, and this program reads up to version 1.'],
            ['version', 0, 'record.json has no version that this program knows'], ['format', 'x', 'is not a record of this kind'],
            ['patient.name', ['x'], 'In record.json, patients: “name” is a list.'], ['tables.programme_items.0.fields', 'x', 'programme_items: “fields” is no list.'], ['patient.name', str_repeat('x', 5000), 'In record.json, patients, something cannot be stored'], ['patient.birth_date', '2026-13-40', 'In record.json, patients'],
            ['patient.more', 1, 'patient: “more” not known.'], ['tables.screenings.0.practitioner_id', 99, 'In record.json, screenings, row 1: “practitioner_id” names a row that is not there.'],
            ['tables.programme_items.0.fields', ['technique' => 'no such'], 'In record.json, programme_items, row 1:'],
            ['tables.screening_answers.3.id', 9, 'In record.json, screening_answers, row 4: “id” must be 4.'],
            ['tables.asked_forms.0.form', 'unknown', 'In record.json, asked_forms, row 1: There is no form “unknown”.'], ['tables.asked_forms.0.asked', ['title' => 'x'], 'In record.json, asked_forms, row 1: It is no questionnaire as it was written.'], ['tables.asked_forms.0.answers', ['1' => ['x']], 'In record.json, asked_forms, row 1:'],
            ['tables.programmes.0.outcome', 'gone', 'In record.json, programmes, row 1:'], ['tables.practices', 'x', '“practices” must be a list'],
            ['tables.programme_versions.0.number', '1 or so', 'In record.json, programme_versions, row 1'], ['people.0.registration', 1.5, 'a name, profession or registration is no text'], ['patient.time_zone', 'Mars/Phobos', 'The record cannot be opened'], ['patient.day_start', 'noon', 'The record cannot be opened'],
        ] as [$where, $value, $why]) {
            $refused($this->edited($zip, $where, $value), $why, $where);
        }
        self::assertSame($before, $this->counts(), 'Nothing was stored.');
        $this->upload($zip)->assertSessionHasNoErrors();
    }

    public function test_wherever_one_byte_is_turned_nothing_is_stored_that_was_not_there(): void
    {
        $this->scene();
        $zip = RecordZip::of($this->patient);
        $document = RecordZip::json(RecordOut::document($this->patient));
        mt_srand(17);
        for ($round = 0; $round < 60; $round++) {
            $at = mt_rand(0, strlen($zip) - 1);
            $bytes = $zip;
            $bytes[$at] = chr(ord($bytes[$at]) ^ (1 << mt_rand(0, 7)));
            try {
                $copy = app(ReadRecord::class)($this->file($bytes), $this->practitioner);
                // A byte that says nothing of what is in it: a date, an attribute.
                self::assertSame($document, RecordZip::json(RecordOut::document($copy)), "byte $at");
            } catch (ValidationException $problem) {
                self::assertStringEndsWith('Nothing of it is stored.', $problem->getMessage());
            }
        }
    }

    public function test_whatever_is_changed_in_it_is_refused_or_every_page_opens(): void
    {
        $this->atTheQuay();
        $this->whatTheDemoLacks();
        $this->practitioner = Practitioner::query()->where('email', 'gwen@millrace.example')->sole();
        $this->patient = SessionNote::query()->firstOrFail()->careSession->patient;
        $this->actingAs($this->practitioner, 'practitioner');
        $zip = RecordZip::of($this->patient);
        // A table first, then a place in it: practices are many, and each of them is alike.
        $places = array_values(collect(array_keys(Arr::dot(RecordOut::document($this->patient))))
            ->groupBy(fn (string $place) => implode('.', array_slice(explode('.', $place), 0, 2)))->map->all()->all());
        $values = [null, -1, 0, 1, 99_999_999, 1.5, '', 'x', '2026-13-01', 'Ω', true, [], ['x'], ['x' => ['y' => 1]], str_repeat('a', 300)];
        mt_srand((int) (getenv('FUZZ_SEED') ?: 23));
        $taken = 0;
        for ($round = 0; $round < (int) (getenv('FUZZ_REQUESTS') ?: 40); $round++) {
            $of = $places[mt_rand(0, count($places) - 1)];
            $where = $of[mt_rand(0, count($of) - 1)];
            $value = $values[mt_rand(0, count($values) - 1)];
            try {
                $copy = app(ReadRecord::class)($this->file($this->edited($zip, $where, $value)), $this->practitioner);
            } catch (ValidationException) {
                continue;
            }
            $taken++;
            foreach (['', '/record', '/screening', '/measure', '/bench', '/letters', '/access'] as $page) {
                $status = $this->get("/patients/{$copy->id}$page")->status();
                self::assertSame(200, $status, "$where = ".json_encode($value)." on $page");
            }
            $this->get('/')->assertOk();
        }
        self::assertGreaterThan(0, $taken);
    }

    public function test_a_spreadsheet_does_nothing_with_what_was_typed(): void
    {
        self::assertSame(
            "a,b (s)\r\n\"'=1+1\",-3\r\n\"'@x\",2.5\r\n\"'-5\",\r\n\"'\tx\",0\r\n\"say \"\"a\"\", b\",1\r\nplain,1\r\n",
            Csv::of(['a', 'b (s)'], [['=1+1', -3], ['@x', 2.5], ['-5', null], ["\tx", 0], ['say "a", b', 1], ['plain', 1]]),
        );
    }

    public function test_every_table_of_a_patient_is_carried_or_left_for_a_reason(): void
    {
        $of = array_map(fn ($row) => $row->t, DB::select("select distinct c.table_name as t from information_schema.columns c where table_schema = database() and column_name in ('patient_id', 'screening_id', 'programme_version_id', 'care_session_id', 'session_note_id', 'practice_id', 'raised_red_flag_id', 'programme_id')"));
        self::assertSame([], array_values(array_diff($of, array_keys(Carried::TABLES), array_keys(Carried::LEFT))));
        self::assertEqualsCanonicalizing(array_keys(Carried::TABLES), array_keys(RecordOpens::MODELS));
    }

    /** @return array<string, string> what the manifest says, but for the file that has names of its own */
    private function hashes(string $zip): array
    {
        $in = new ZipArchive;
        $in->open($this->file($zip));
        $manifest = (array) json_decode((string) $in->getFromName('manifest.json'), true);

        return array_diff_key($manifest['sha256'], ['fhir.json' => true]);
    }

    private function writeExample(Patient $patient): void
    {
        $zip = new ZipArchive;
        $zip->open($this->file(RecordZip::of($patient)));
        $zip->extractTo(base_path('docs/formats/example'));
        $zip->close();
    }

    private function isByTheSchema(string $json): void
    {
        $read = json_decode($json);
        $validator = new Validator;
        $validator->validate($read, json_decode((string) file_get_contents(base_path('docs/formats/record.schema.json'))));
        self::assertSame([], $validator->getErrors());
    }

    private function whatTheDemoLacks(): void
    {
        $note = SessionNote::query()->firstOrFail();
        $by = $note->practitioner;
        $patient = $note->careSession->patient;
        $version = $patient->load('activeProgramme.versions.items')->activeProgramme?->latestVersion() ?? throw new LogicException('A programme is running.');
        $row = $version->items->firstOrFail();
        $version->findingReasons()->create(['lineage' => $row->lineage, 'rule' => 'x', 'message' => 'M', 'reason' => '=R', 'practitioner_id' => $by->id, 'given_at' => now(), 'cause' => []]);
        $note->careSession->steps()->create(['step' => 'measure', 'content' => ['remarks' => '“x”'], 'revision' => 1, 'practitioner_id' => $by->id, 'kept_at' => now()]);
        $note->amendments()->create(['text' => 'T', 'reason' => 'R', 'practitioner_id' => $by->id, 'signed_at' => now()]);
        $practice = $patient->practices()->firstOrFail();
        $symptom = ChosenSymptom::query()->create(['patient_id' => $patient->id, 'name' => 'yawning']);
        $patient->askedForms()->create(['form' => 'symptoms', 'answered_on' => 'device', 'practitioner_id' => $by->id, 'asked_at' => now(), 'answers' => [$symptom->id => 3], 'answered' => 1, 'completed_at' => now()]);
        SecondLook::query()->create(['practice_id' => $practice->id, 'settled' => true, 'looked_at' => now(), 'received_at' => now()]);
        HabitTick::query()->create(['uuid' => (string) Str::uuid(), 'patient_id' => $patient->id, 'programme_version_id' => $version->id, 'device_id' => $practice->device_id, 'lineage' => $row->lineage, 'ticked_at' => now(), 'received_at' => now()]);
        $patient->handovers()->create(['kind' => 'share', 'to_id' => $by->id, 'by_id' => $by->id, 'reason' => 'R', 'at' => now()]);
    }

    private function scene(): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-10-21 09:00:00'));
        $this->clinicWithPatient();
        $this->patient->refresh();
        $this->screen(['flag.asthma']);
        $this->issue();
        $this->patient->askedForms()->create(['form' => 'gad-7', 'answered_on' => 'room', 'practitioner_id' => $this->practitioner->id, 'asked_at' => now(), 'answers' => ['1' => 2], 'answered' => 1]);
        $this->actingAs($this->practitioner, 'practitioner');
    }

    /** @return array<string, int> */
    private function counts(): array
    {
        $counts = [];
        foreach (['patients', 'practitioners', ...array_keys(Carried::TABLES)] as $table) {
            $counts[$table] = DB::table($table)->count();
        }

        return $counts;
    }

    private function file(string $bytes): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'record');
        $this->made[] = $path;
        file_put_contents($path, $bytes);

        return $path;
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function upload(string $bytes): TestResponse
    {
        return $this->post('/patients/file', ['file' => new UploadedFile($this->file($bytes), 'record.zip', 'application/zip', null, true)]);
    }

    /** @param  callable(ZipArchive): mixed  $change */
    private function changed(string $zip, callable $change): string
    {
        $path = $this->file($zip);
        $in = new ZipArchive;
        $in->open($path);
        $change($in);
        $in->close();

        return (string) file_get_contents($path);
    }

    /** The document with one value in its place, and a manifest that says that it is right. */
    private function edited(string $zip, string $where, mixed $value): string
    {
        $document = (array) json_decode((string) json_encode(RecordOut::document($this->patient)), true);
        data_set($document, $where, $value);
        $text = RecordZip::json($document);

        return $this->changed($zip, function (ZipArchive $in) use ($text): void {
            $manifest = (array) json_decode((string) $in->getFromName('manifest.json'), true);
            $manifest['sha256']['record.json'] = hash('sha256', $text);
            $in->addFromString('record.json', $text);
            $in->addFromString('manifest.json', RecordZip::json($manifest));
        });
    }

    /** @return list<string> */
    private function names(string $zip): array
    {
        $in = new ZipArchive;
        $in->open($this->file($zip));

        return array_map(fn (int $index) => (string) $in->getNameIndex($index), range(0, $in->numFiles - 1));
    }
}
