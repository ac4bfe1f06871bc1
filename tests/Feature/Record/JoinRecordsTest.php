<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use App\Guard\Door\Door;
use App\Guard\Door\History;
use App\Guard\Door\JoinRoutine;
use App\Models\ChosenSymptom;
use App\Models\DiaryEntry;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Practitioner;
use App\Models\TrailEntry;
use Carbon\CarbonImmutable;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Two records of one person become one, by the database's own door and no other way. */
final class JoinRecordsTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private Patient $younger;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(CarbonImmutable::parse('2026-11-20 10:00', 'Europe/Lisbon'));
        $this->clinicWithPatient();
        $this->screen();
        $this->travelTo(CarbonImmutable::parse('2026-11-25 10:00', 'Europe/Lisbon'));
        $this->younger = Patient::factory()->create([
            'clinic_id' => $this->practitioner->clinic_id, 'practitioner_id' => $this->practitioner->id,
            'birth_date' => $this->patient->birth_date->format('Y-m-d'), 'own_low_saturation' => 90,
        ]);
        $this->actingAs($this->practitioner, 'practitioner');
    }

    private function join(?Patient $one = null, ?Patient $other = null): \Illuminate\Testing\TestResponse
    {
        return $this->post('/patients/'.($one ?? $this->patient)->id.'/join', ['other' => ($other ?? $this->younger)->id, 'reason' => 'Added twice.']);
    }

    public function test_several_of_one_day_of_birth_stand_beside_each_other(): void
    {
        Patient::factory()->create([
            'clinic_id' => $this->practitioner->clinic_id, 'practitioner_id' => $this->practitioner->id,
            'birth_date' => $this->patient->birth_date->format('Y-m-d'),
        ]);
        self::assertCount(2, $this->props($this->get("/patients/{$this->patient->id}/join")->assertOk())['others']);
    }

    public function test_every_row_moves_and_the_older_keeps_its_name(): void
    {
        $this->screen(['flag.asthma'], $this->younger);
        $version = $this->issue(patient: $this->younger);
        [$device, $credential] = $this->device($this->younger);
        $this->store($device, $this->practiceLog($version));
        foreach ([$this->patient, $this->younger] as $at => $patient) {
            $symptom = ChosenSymptom::query()->create(['patient_id' => $patient->id, 'name' => 'tension']);
            Measurement::query()->create([
                'patient_id' => $patient->id, 'practitioner_id' => $this->practitioner->id, 'measure' => 'symptom', 'value' => 4 + $at, 'position' => 'seated',
                'method' => 'typed', 'measured_at' => now(), 'chosen_symptom_id' => $symptom->id,
            ]);
            DiaryEntry::query()->create([
                'patient_id' => $patient->id, 'device_id' => $device->id, 'day' => '2026-11-24', 'is_late' => false, 'written_at' => now(),
                'content' => ['ratings' => [$symptom->id => 3 + $at], 'sleep' => $at === 0 ? null : 7, 'text' => "Line $at"],
            ]);
        }
        $this->post("/patients/{$this->younger->id}/sessions");
        $rows = $this->rows();

        // From the younger's page as well: which one keeps its name is no matter of where one stands.
        $this->join($this->younger, $this->patient)->assertRedirect("/patients/{$this->patient->id}/record");

        $older = $this->patient->refresh();
        self::assertSame(90, $older->own_low_saturation, 'what is stricter holds');
        self::assertSame(['tension'], $older->symptoms()->pluck('name')->all());
        self::assertSame(2, Measurement::query()->where('chosen_symptom_id', $older->symptoms()->sole()->id)->count());
        $entry = DiaryEntry::query()->sole();
        self::assertSame([3, 7, "Line 0\nLine 1"], [$entry->content['ratings'][$older->symptoms()->sole()->id], $entry->content['sleep'], $entry->content['text']]);
        self::assertSame($version->id, $older->activeProgramme?->latestVersion()?->id);
        self::assertSame([1], $older->careSessions()->pluck('number')->all());
        foreach ($this->rows() as $table => $left) {
            self::assertSame(0, $left['younger'], $table);
            if (! in_array($table, ['diary_entries', 'chosen_symptoms', 'access_trail', 'caseload_lines'], true)) {
                self::assertSame($rows[$table]['older'] + $rows[$table]['younger'], $left['older'], $table);
            }
        }
        self::assertSame(0, DB::table(Door::TABLE)->count(), 'the door is closed again');
        self::assertGreaterThan(5, DB::table('joined_rows')->count());
        self::assertStringContainsString('joined into this one', (string) json_encode(TrailEntry::query()->where('patient_id', $older->id)->orderByDesc('id')->firstOrFail()->detail));

        // An old address leads on, and the phone goes on as whose it was.
        foreach (['', '/record', '/bench', '/measure', '/access', '/screening'] as $page) {
            $this->get("/patients/{$this->younger->id}$page")->assertOk()->assertInertia(fn ($shown) => $shown->where('patient.id', $older->id));
        }
        self::assertCount(1, $this->props($this->get('/'))['lines']);
        self::assertSame('Added twice.', $this->props($this->get("/patients/{$older->id}/record"))['joins'][0]['reason']);
        $owner = substr(hash_hmac('sha256', $this->younger->id, config()->string('app.key')), 0, 20);
        $this->app?->make('auth')->forgetGuards();
        $this->fromDevice($credential)->unlock();
        $this->getJson('/api/v1/today')->assertOk()->assertJsonPath('owner', $owner);
        $this->outbox('practice', $this->practiceLog($version, ['anchor' => 'evening']))->assertStored();
        self::assertSame(2, Practice::query()->where('patient_id', $older->id)->count());
    }

    public function test_side_by_side_it_says_where_the_screenings_differ(): void
    {
        $this->screen(['flag.asthma'], $this->younger);
        $page = $this->props($this->get("/patients/{$this->patient->id}/join"));
        self::assertSame([$this->younger->id], array_column($page['others'], 'id'));
        self::assertSame([['no', 'yes']], array_map(fn (array $line) => [$line['mine'], $line['theirs']], $page['others'][0]['differs']));
        self::assertSame($this->patient->name, $page['others'][0]['keeps']);
    }

    public function test_what_is_no_pair_is_refused_in_words(): void
    {
        $other = Patient::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'practitioner_id' => $this->practitioner->id, 'birth_date' => '1950-01-01']);
        $this->join(other: $other)->assertSessionHasErrors(['other' => 'Their dates of birth differ. Correct the wrong one under Details first.']);
        $this->join(other: $this->patient)->assertSessionHasErrors(['other' => 'Choose the other record of this person.']);
        $stranger = Practitioner::factory()->create();
        $theirs = Patient::factory()->create(['clinic_id' => $stranger->clinic_id, 'practitioner_id' => $stranger->id, 'birth_date' => $this->patient->birth_date->format('Y-m-d')]);
        $this->join(other: $theirs)->assertSessionHasErrors(['other' => 'Choose the other record of this person.']);
        $this->issue();
        $this->screen([], $this->younger);
        $this->issue(patient: $this->younger);
        $this->join()->assertSessionHasErrors(['other' => 'A programme is running in both. Close the one that is not to go on.']);
        $this->post("/patients/{$this->younger->id}/join", ['other' => $this->patient->id, 'reason' => ''])->assertSessionHasErrors('reason');
        $this->post("/patients/{$this->patient->id}/programme/close", ['outcome' => 'goal-reached', 'note' => '']);
        foreach ([$this->patient, $this->younger] as $patient) {
            $this->post("/patients/{$patient->id}/sessions");
        }
        $this->join()->assertSessionHasErrors(['other' => 'A session is open in both. Sign the note of one, or drop it.']);
        self::assertSame(0, DB::table('record_joins')->count());
    }

    public function test_the_routine_checks_for_itself_and_closes_the_door_behind_it(): void
    {
        $other = Patient::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'practitioner_id' => $this->practitioner->id, 'birth_date' => '1950-01-01']);
        foreach ([[$other->id, $this->patient->id], [$this->patient->id, $this->younger->id], [$this->younger->id, $this->patient->id]] as [$younger, $older]) {
            try {
                DB::statement('call '.JoinRoutine::NAME.'(?, ?, ?)', [$younger, $older, 1]);
                self::fail('It was joined.');
            } catch (QueryException $refusal) {
                self::assertStringContainsString('These two records cannot be joined.', $refusal->getMessage());
            }
        }
        self::assertSame(0, DB::table(Door::TABLE)->count());
    }

    public function test_triggers_and_routine_are_those_that_the_tables_of_today_need(): void
    {
        $there = [];
        foreach (DB::select('select trigger_name as name, action_statement as body from information_schema.triggers where trigger_schema = database()') as $trigger) {
            $there[(string) $trigger->name] = (string) $trigger->body;
        }
        foreach (History::statements() as $name => $statement) {
            self::assertSame(explode('for each row ', $statement, 2)[1], $there[$name] ?? null, "$name: a migration that changes its table ends with Door::lay()");
        }
        $stands = array_filter($there, fn (string $body) => str_contains($body, "sqlstate '45000'"));
        self::assertSame([], array_diff(array_keys($stands), array_keys(History::statements())), 'no other trigger refuses anything');
        $routine = DB::selectOne('select routine_definition as body from information_schema.routines where routine_schema = database() and routine_name = ?', [JoinRoutine::NAME]);
        $body = fn (string $text): string => (string) preg_replace('/\s+/', ' ', (string) substr($text, (int) strpos($text, 'begin')));
        self::assertSame($body(JoinRoutine::statement()), $body((string) $routine->body), 'a migration that adds a table of a patient ends with Door::lay()');
    }

    /** @return array<string, array{older: int, younger: int}> by table */
    private function rows(): array
    {
        $counts = [];
        foreach (DB::select("select table_name as name from information_schema.columns where table_schema = database() and column_name = 'patient_id'") as $table) {
            $name = (string) $table->name;
            $of = fn (Patient $patient): int => DB::table($name)->where('patient_id', $patient->id)->count();
            $counts[$name] = ['older' => $of($this->patient), 'younger' => $of($this->younger)];
        }

        return $counts;
    }
}
