<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use App\Actions\Records\AskErasure;
use App\Actions\Records\EraseRecord;
use App\Guard\Door\Door;
use App\Guard\Door\EraseRoutine;
use App\Guard\ErasedList;
use App\Models\Erasure;
use App\Models\OutgoingMail;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use App\Records\RecordOut;
use App\Records\RecordZip;
use Carbon\CarbonImmutable;
use Database\Seeders\Demo\DemoSeeder;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\Feature\AtTheQuay;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Somebody is forgotten: all of it, nothing of anybody else, and it stays so after a restore. Or it is refused, with its reason. */
final class ErasureTest extends TestCase
{
    use AtTheQuay, RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        config(['app.erased_list' => (string) tempnam(sys_get_temp_dir(), 'erased')]);
    }

    protected function tearDown(): void
    {
        @unlink(ErasedList::path());
        parent::tearDown();
    }

    public function test_of_whoever_is_erased_nothing_is_left_anywhere_and_of_everybody_else_everything(): void
    {
        $this->atTheQuay();
        $lead = Practitioner::query()->where('email', 'nora@harrowquay.example')->sole();
        $this->actingAs($lead, 'practitioner');
        // The whole clinic, one after the other; what is left after each is what others have.
        $all = Patient::query()->where('clinic_id', $lead->clinic_id)->orderBy('id')->get();
        $elsewhere = $this->documents(Patient::query()->where('clinic_id', '<>', $lead->clinic_id)->get());
        $ofClinics = $this->counts();
        foreach ($all as $index => $patient) {
            // What opens a record leaves lines; two records became one.
            $this->get("/patients/{$patient->id}/record")->assertOk();
            if ($index === 0) {
                DB::table('patients')->insert([...(array) DB::table('patients')->where('id', $patient->id)->first(), 'id' => '01joined000000000000000000', 'joined_into' => $patient->id]);
                OutgoingMail::query()->create(['clinic_id' => $lead->clinic_id, 'to' => 'Somebody@Harbour.example', 'subject' => 's', 'text' => 't', 'at' => now()]);
                OutgoingMail::query()->create(['clinic_id' => $lead->clinic_id, 'to' => 'other@harbour.example', 'subject' => 's', 'text' => 't', 'at' => now()]);
                $patient->update(['contact' => 'somebody@harbour.example']);
                foreach (['somebody@harbour.example', 'other@harbour.example', $patient->id] as $at => $word) {
                    DB::table('failed_jobs')->insert(['uuid' => "u$at", 'connection' => 'c', 'queue' => 'q', 'payload' => "{\"to\":\"$word\"}", 'exception' => '']);
                }
            }
            $before = $this->ofOthers($patient);
            $neighbours = $this->documents($all->slice($index + 1, 2));
            $this->post("/patients/{$patient->id}/erasure", ['name' => " {$patient->name} ", 'your_password' => DemoSeeder::PASSWORD])->assertRedirect('/')->assertSessionHasNoErrors();
            self::assertSame([], $this->places($patient->id), $patient->name);
            self::assertSame($before, $this->ofOthers($patient), $patient->name);
            self::assertSame($neighbours, $this->documents($all->slice($index + 1, 2)), 'Of those beside it not a letter is another.');
            $this->get("/patients/{$patient->id}")->assertNotFound();
            if ($index === 0) {
                self::assertSame(['other@harbour.example'], OutgoingMail::query()->where('to', '<>', '')->get()->map(fn (OutgoingMail $mail) => $mail->to)->filter(fn (string $to) => str_contains($to, 'harbour'))->values()->all());
            }
        }
        self::assertSame(0, Patient::query()->withoutGlobalScopes()->where('clinic_id', $lead->clinic_id)->count());
        self::assertSame([], $this->danglers());
        self::assertSame($elsewhere, $this->documents(Patient::query()->where('clinic_id', '<>', $lead->clinic_id)->get()));
        self::assertSame($ofClinics, $this->counts());
        self::assertSame(['{"to":"other@harbour.example"}'], DB::table('failed_jobs')->pluck('payload')->all());
        self::assertSame(0, DB::table(Door::TABLE)->count(), 'The door is shut.');
        $this->get('/')->assertOk();
        $this->get('/clinic')->assertOk()->assertInertia(fn ($page) => $page->where('keeping.past.0', fn (string $line) => str_ends_with($line, ', by Nora Ashgrove, on request')));
    }

    public function test_it_needs_the_lead_the_name_and_the_password_and_a_refusal_needs_a_reason(): void
    {
        $this->clinicWithPatient();
        $url = "/patients/{$this->patient->id}/erasure";
        $this->practitioner->update(['role' => Role::Practitioner]);
        $this->actingAs($this->practitioner, 'practitioner');
        $this->postJson($url, ['name' => $this->patient->name, 'your_password' => 'a-long-password'])->assertForbidden();
        $this->postJson("$url/refusal", ['reason' => 'x'])->assertForbidden();
        $this->practitioner->update(['role' => Role::Lead]);
        $this->postJson($url)->assertJsonValidationErrors(['name' => 'Type the name of the patient.', 'your_password' => 'Type your password: this needs to be you.']);
        $this->postJson($url, ['name' => ['x'], 'your_password' => 'a-long-password'])->assertJsonValidationErrors('name');
        $this->postJson($url, ['name' => 'Somebody Else', 'your_password' => 'a-long-password'])->assertJsonValidationErrors(['name' => 'This is not the name of this patient.']);
        $this->postJson($url, ['name' => $this->patient->name, 'your_password' => 'another'])->assertJsonValidationErrors(['your_password' => 'This is not your password.']);
        $this->post("$url/refusal", [])->assertSessionHasErrors('reason');
        $this->post("$url/refusal", ['reason' => 'To be kept until 2031, as the chamber asks.'])->assertSessionHasNoErrors();
        self::assertSame(1, Patient::query()->count());
        $shown = $this->props($this->get("/patients/{$this->patient->id}/record"))['refusals'];
        self::assertSame([$this->practitioner->name, 'To be kept until 2031, as the chamber asks.'], [$shown[0]['by'], $shown[0]['reason']]);
        self::assertStringNotContainsString('chamber', (string) DB::table('erasures')->value('reason'), 'encrypted');
        // Later it is done after all: the refusal has no name and no words any more.
        $this->post($url, ['name' => $this->patient->name, 'your_password' => 'a-long-password'])->assertSessionHasNoErrors();
        self::assertSame([null, null], [DB::table('erasures')->where('outcome', 'refused')->value('patient_id'), DB::table('erasures')->where('outcome', 'refused')->value('reason')]);
    }

    public function test_the_door_opens_only_for_what_was_written_down_and_what_was_written_down_stays(): void
    {
        $this->clinicWithPatient();
        $other = Patient::factory()->create(['clinic_id' => $this->patient->clinic_id, 'practitioner_id' => $this->practitioner->id]);
        $erasure = Erasure::query()->create(['clinic_id' => $this->patient->clinic_id, 'practitioner_id' => $this->practitioner->id, 'patient_id' => $other->id, 'outcome' => 'refused', 'why' => 'request', 'asked_at' => now()]);
        foreach ([[$this->patient->id, $erasure->id], [$other->id, $erasure->id], [$other->id, 0], ['nobody', $erasure->id]] as $wrong) {
            $this->isRefused(fn () => DB::statement('call '.EraseRoutine::NAME.'(?, ?)', $wrong), 'Nobody has said that this record is to go.');
        }
        $this->isRefused(fn () => DB::statement('delete from erasures'), 'cannot be removed');
        $this->isRefused(fn () => DB::statement("update erasures set outcome = 'erased'"), 'cannot be changed');
        self::assertSame([2, 0], [Patient::query()->count(), DB::table(Door::TABLE)->count()]);
    }

    public function test_records_are_due_by_the_clinics_years_and_only_what_is_due_goes(): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-12-01 10:00'));
        $this->clinicWithPatient();
        $this->practitioner->update(['role' => Role::Lead]);
        $this->actingAs($this->practitioner, 'practitioner');
        $make = fn (string $name, string $born, ?string $archived) => Patient::factory()->create(['clinic_id' => $this->patient->clinic_id, 'practitioner_id' => $this->practitioner->id, 'name' => $name, 'birth_date' => $born, 'archived_at' => $archived, 'archive_reason' => 'x']);
        $due = $make('Due Today', '1970-01-01', '2016-12-01 09:00');
        $tomorrow = $make('Due Tomorrow', '1970-01-01', '2016-12-02 09:00');
        $child = $make('Was A Child', '2009-05-05', '2015-01-01 09:00');
        $make('Still Here', '1950-01-01', null);
        $list = fn (): array => array_column($this->props($this->get('/clinic'))['keeping']['due'], 'name');
        self::assertSame([], $list(), 'Nothing is due before somebody has said for how long records are kept.');
        foreach ([['10', ''], ['', '25'], ['0', '25'], ['10', '17'], ['10', '51'], ['ten', '25'], ['1.5', '25']] as [$years, $age]) {
            $this->putJson('/clinic/keeping', ['keep_years' => $years, 'keep_minors_until' => $age])->assertUnprocessable();
        }
        $this->put('/clinic/keeping', ['keep_years' => '10', 'keep_minors_until' => '25'])->assertSessionHasNoErrors();
        self::assertSame(['Due Today'], $list());
        $erase = fn (array $patients) => $this->postJson('/clinic/erasures', ['patients' => $patients, 'your_password' => 'a-long-password']);
        $this->postJson('/clinic/erasures', ['patients' => [$due->id]])->assertJsonValidationErrors('your_password');
        $erase([])->assertJsonValidationErrors(['patients' => 'Tick the records that are to go.']);
        $erase([$due->id, $tomorrow->id])->assertJsonValidationErrors('patients');
        $erase([['x'], $child->id])->assertJsonValidationErrors('patients');
        self::assertSame(5, Patient::query()->count());
        $erase([$due->id])->assertRedirect();
        self::assertSame([4, null], [Patient::query()->count(), Patient::query()->find($due->id)]);
        $this->travelTo(CarbonImmutable::parse('2034-05-06 10:00'));
        self::assertSame(['Was A Child', 'Due Tomorrow'], $list());
        $this->put('/clinic/keeping', ['keep_years' => '', 'keep_minors_until' => ''])->assertSessionHasNoErrors();
        self::assertSame([], $list());
    }

    public function test_what_an_archive_brings_back_is_erased_again_and_nothing_else(): void
    {
        $this->clinicWithPatient();
        $gone = $this->patient;
        $row = (array) DB::table('patients')->where('id', $gone->id)->first();
        app(AskErasure::class)($gone, $this->practitioner, Erasure::REQUEST);
        $marks = ErasedList::read(ErasedList::path());
        self::assertCount(1, $marks);
        self::assertStringNotContainsString($gone->id, (string) file_get_contents(ErasedList::path()));
        self::assertSame([true, false], [ErasedList::names($marks, $gone->id), ErasedList::names($marks, strrev($gone->id))]);
        // An older archive knows nothing of it; the list lies beside it, with a line that is none.
        $list = (string) tempnam(sys_get_temp_dir(), 'list');
        file_put_contents($list, "not a mark\n".implode("\n", $marks)."\n");
        unlink(ErasedList::path());
        DB::table('patients')->insert($row);
        $stays = Patient::factory()->create(['clinic_id' => $gone->clinic_id, 'practitioner_id' => $this->practitioner->id]);
        $this->artisan('records:erase-again', ['lists' => [$list]])->expectsOutput('One record that was erased is erased again.')->assertSuccessful();
        self::assertSame([$stays->id], Patient::query()->pluck('id')->all());
        $this->artisan('records:erase-again', ['lists' => [$list, '/nowhere']])->expectsOutput('0 records that were erased are erased again.')->assertSuccessful();
        self::assertContains($marks[0], ErasedList::read(ErasedList::path()), 'It is known here too from now on.');
        unlink($list);
    }

    public function test_what_never_reached_the_queue_is_erased_later_and_twice_asked_is_once(): void
    {
        $this->clinicWithPatient();
        Queue::fake();
        app(AskErasure::class)($this->patient, $this->practitioner, Erasure::REQUEST);
        app(AskErasure::class)($this->patient, $this->practitioner, Erasure::KEEPING);
        self::assertSame(1, Erasure::query()->count());
        $this->artisan('records:erase-waiting')->assertSuccessful();
        Queue::assertPushed(EraseRecord::class, 2);
        $this->travel(11)->minutes();
        $this->artisan('records:erase-waiting')->assertSuccessful();
        Queue::assertPushed(EraseRecord::class, 3);
        (new EraseRecord((int) Erasure::query()->value('id')))->handle();
        (new EraseRecord((int) Erasure::query()->value('id')))->handle();
        self::assertSame([0, 0], [Patient::query()->count(), Erasure::waiting()->count()]);
    }

    /** @return list<string> tables and columns in which the id stands */
    private function places(string $id): array
    {
        $found = [];
        foreach ($this->columns() as [$table, $column]) {
            if (DB::table($table)->where($column, 'like', "%$id%")->exists()) {
                $found[] = "$table.$column";
            }
        }

        return $found;
    }

    /** @return array<string, int> rows of other patients and of the clinic, by table */
    private function ofOthers(Patient $patient): array
    {
        $counts = [];
        $gone = [$patient->id, '01joined000000000000000000'];
        foreach (array_unique(array_column($this->columns(), 0)) as $table) {
            $query = DB::table($table);
            $names = in_array([$table, 'patient_id'], $this->columns(), true);
            if ($names) {
                $query->where(fn ($rows) => $rows->whereNull('patient_id')->orWhereNotIn('patient_id', $gone));
            }
            // What hangs on rows that name the patient is looked for by its references below.
            if ($names && ! in_array($table, ['erasures', 'access_trail', 'caseload_lines'], true)) {
                $counts[$table] = $query->count();
            }
        }

        return $counts;
    }

    /**
     * @param  iterable<Patient>  $patients
     * @return array<string, string> everything that stands in their records
     */
    private function documents(iterable $patients): array
    {
        $documents = [];
        foreach ($patients as $patient) {
            $documents[$patient->name] = hash('sha256', RecordZip::json(RecordOut::document($patient->refresh())));
        }

        return $documents;
    }

    /** @return array<string, int> what belongs to clinics and their people */
    private function counts(): array
    {
        $counts = [];
        foreach (['clinics', 'practitioners', 'own_exercises', 'own_routines', 'own_questionnaires', 'programme_templates', 'voice_clips', 'absences', 'invitations', 'backups'] as $table) {
            $counts[$table] = DB::table($table)->count();
        }

        return $counts;
    }

    /** @return list<string> references that lead to nothing, over the whole database */
    private function danglers(): array
    {
        $found = [];
        foreach (DB::select('select table_name as t, column_name as c, referenced_table_name as r, referenced_column_name as k from information_schema.key_column_usage where table_schema = database() and referenced_table_name is not null') as $row) {
            if (DB::select("select 1 from `{$row->t}` a left join `{$row->r}` b on b.`{$row->k}` = a.`{$row->c}` where a.`{$row->c}` is not null and b.`{$row->k}` is null limit 1") !== []) {
                $found[] = "{$row->t}.{$row->c}";
            }
        }

        return $found;
    }

    /** @return list<array{string, string}> every column with letters, of every table */
    private function columns(): array
    {
        static $columns = null;

        return $columns ??= array_map(fn ($row) => [$row->t, $row->c], DB::select("select c.table_name as t, c.column_name as c from information_schema.columns c join information_schema.tables t on t.table_schema = c.table_schema and t.table_name = c.table_name and t.table_type = 'BASE TABLE' where c.table_schema = database() and c.data_type in ('char', 'varchar', 'text', 'mediumtext', 'longtext') and c.table_name not in ('migrations', 'jobs', 'cache', 'cache_locks', 'failed_jobs', 'job_batches', 'sessions')"));
    }

    private function isRefused(callable $do, string $why): void
    {
        try {
            $do();
            self::fail($why);
        } catch (QueryException $problem) {
            self::assertStringContainsString($why, $problem->getMessage());
        }
    }
}
