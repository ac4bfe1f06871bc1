<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Actions\Access\MakeAccessLink;
use App\Actions\Assessment\AskForm;
use App\Actions\Practice\WriteDiary;
use App\Actions\Programme\CloseProgramme;
use App\Actions\Programme\EndPause;
use App\Facts\Caseload\CaseloadLineOf;
use App\Facts\Caseload\CaseloadLines;
use App\Facts\OnFile;
use App\Models\ChosenSymptom;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Pause;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use IvoryPace\Programme\Outcome;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Who needs the practitioner, in order, from lines that are kept. */
final class CaseloadTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const SEED = 20261125;

    private const EVENTS = 70;

    private Device $device;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-01 06:00:00');
        $this->clinicWithPatient();
    }

    public function test_kept_lines_are_what_computing_them_anew_gives_after_whatever_happens(): void
    {
        $this->screen();
        $this->issue(['times_a_day' => 2]);
        [$this->device, $credential] = $this->device();
        $this->fromDevice($credential);
        $night = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id, 'day_start' => '14:00', 'time_zone' => 'Pacific/Auckland']);
        $this->screen(patient: $night);
        $this->issue(patient: $night);
        $random = new Randomizer(new Mt19937(self::SEED));
        $events = $this->events($random);
        $happened = $reasons = [];
        for ($step = 0; $step < self::EVENTS; $step++) {
            $name = $random->pickArrayKeys($events, 1)[0];
            $events[$name]();
            $happened[$name] = ($happened[$name] ?? 0) + 1;
            foreach ($this->expectKept("after $step events, the last “{$name}”") as $line) {
                $reasons[$line['reason']] = true;
            }
            $this->travel($random->getInt(5, 11 * 60))->minutes();
            $this->expectKept("after $step events and some time");
        }
        self::assertCount(count($events), $happened, 'every kind of event happened');
        self::assertGreaterThanOrEqual(4, count($reasons), implode(', ', array_keys($reasons)));
    }

    public function test_a_line_that_holds_is_read_with_one_query_however_many_patients_there_are(): void
    {
        $this->patients(2);
        $this->queries();
        self::assertSame(1, $this->queries());
        $this->patients(9);
        $this->queries();
        self::assertSame(1, $this->queries());

        DB::table('caseload_lines')->update(['made_of' => null]);
        $all = $this->queries();
        DB::table('caseload_lines')->whereIn('patient_id', DB::table('patients')->limit(3)->pluck('id'))->update(['made_of' => null]);
        self::assertSame($all, $this->queries(), 'computing three takes as many queries as computing twelve');
    }

    public function test_the_scheduler_computes_what_has_run_out_and_nothing_else(): void
    {
        $this->patients(2);
        Artisan::call('caseload:refresh');
        self::assertStringStartsWith('3 lines', Artisan::output());
        Artisan::call('caseload:refresh');
        self::assertStringStartsWith('0 lines', Artisan::output());
        $this->travel(1)->days();
        Artisan::call('caseload:refresh');
        self::assertStringStartsWith('3 lines', Artisan::output());
        self::assertSame(1, $this->queries());
    }

    public function test_what_is_written_while_a_line_is_computed_makes_it_run_out_at_once(): void
    {
        $this->queries();
        DB::table('caseload_lines')->update(['changes' => 7, 'made_of' => 6, 'line' => Crypt::encryptString('{"stale":true}'), 'holds_until' => '2030-01-01 00:00:00', 'urgency' => 0]);

        self::assertArrayHasKey('name', CaseloadLines::of($this->practitioner->clinic, CarbonImmutable::now())[0]);
    }

    public function test_nobody_waits_for_many_lines_whose_time_has_just_turned_but_for_what_was_written(): void
    {
        Patient::factory()->count(54)->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        $ranOut = fn (): int => DB::table('caseload_lines')->where('holds_until', '<=', now()->utc()->format('Y-m-d H:i:s'))->count();
        $this->queries();
        self::assertSame(0, $ranOut());
        $this->travelTo('2026-11-02 04:01:00');
        $this->screen(['red.chest-pain']);
        $lines = CaseloadLines::of($this->practitioner->clinic, CarbonImmutable::now());
        self::assertSame(['red-flag', 55, 4], [$lines[0]['reason'], count($lines), $ranOut()]);
        // Where no scheduler comes, whoever opens it waits after all.
        DB::table('caseload_lines')->update(['holds_until' => '2026-11-02 04:00:00']);
        $this->travelTo('2026-11-02 04:06:00');
        $this->queries();
        self::assertSame(0, $ranOut());
    }

    public function test_a_patient_who_is_added_while_it_is_read_is_seen_the_next_time(): void
    {
        $this->queries();
        DB::table('caseload_lines')->update(['line' => null, 'reason' => null, 'figures' => null, 'made_of' => DB::raw('changes'), 'holds_until' => '2030-01-01 00:00:00']);

        self::assertSame([[], []], [CaseloadLines::of($this->practitioner->clinic, CarbonImmutable::now()), CaseloadLines::figures($this->practitioner->clinic, CarbonImmutable::now())]);
        $this->actingAs($this->practitioner, 'practitioner')->get('/')->assertOk();
        $this->get('/clinic')->assertOk();
    }

    public function test_another_clinic_sees_none_of_them(): void
    {
        $this->patients(2);
        $mine = $this->practitioner;
        $this->clinicWithPatient();
        self::assertCount(1, CaseloadLines::of($this->practitioner->clinic, CarbonImmutable::now()));
        self::assertCount(3, CaseloadLines::of($mine->clinic, CarbonImmutable::now()));
    }

    /** @return array<string, callable(): mixed> */
    private function events(Randomizer $random): array
    {
        $version = fn () => $this->patient->activeProgramme()->with('versions.items')->firstOrFail()->latestVersion() ?? $this->fail();
        $log = fn (array $with = []) => $this->practiceLog($version(), ['anchor' => $random->getInt(0, 1) === 1 ? 'waking' : 'lights-out', 'effort' => $random->getInt(0, 10), ...$with]);
        $late = fn () => ['started_at' => now()->utc()->subHours(50)->format('Y-m-d\TH:i:s.v\Z'), 'ended_at' => now()->utc()->subHours(50)->addSeconds(130)->format('Y-m-d\TH:i:s.v\Z')];

        return [
            'practice' => fn () => $this->outbox('practice', $log())->assertStored(),
            'late practice' => fn () => $this->outbox('practice', $log($late()))->assertStored(),
            'stop' => fn () => $this->outbox('practice', $log(['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness']))->assertStored(),
            'get help' => fn () => $this->outbox('practice', $log(['stop_class' => 'get-help', 'stop_symptom' => 'chest-pain']))->assertStored(),
            'looked at' => $lookAt = fn () => Pause::query()->whereNull('until_at')->whereIn('rule', ['PAUSE-TWICE-IN-THREE', 'PAUSE-GET-HELP'])->get()->each(fn (Pause $pause) => app(EndPause::class)($this->patient, $pause, $this->practitioner, 'All well.')),
            'put off' => fn () => $this->outbox('put-off', ['day' => $this->patient->dayOf(now())->date, 'lineage' => $version()->items[0]->lineage, 'anchor' => 'waking', 'reason' => 'busy', 'said_at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z')]),
            'diary' => fn () => app(WriteDiary::class)($this->device, $this->patient->dayOf(now())->date, [$this->symptom()->id => $random->getInt(0, 10)], null, null, CarbonImmutable::now()),
            'new version' => function () use ($version, $random) {
                $this->actOnRedFlags();
                $this->issue(['times_a_day' => $random->getInt(1, 3)], $version()->number, 'A change.');
            },
            'link' => fn () => app(MakeAccessLink::class)($this->patient, $this->practitioner),
            'screening' => fn () => $this->screen($random->getInt(0, 2) === 0 ? ['red.chest-pain'] : []),
            'red flag seen' => fn () => $this->actOnRedFlags(),
            'asked' => fn () => app(AskForm::class)($this->patient, $this->practitioner, 'gad-7', 'device'),
            'thresholds' => fn () => $this->practitioner->clinic->update(['thresholds' => ['leastDays' => $random->getInt(1, 9)]]),
            'ended and begun anew' => function () use ($lookAt) {
                $lookAt();
                $this->actOnRedFlags();
                app(CloseProgramme::class)($this->patient, $this->practitioner, Outcome::Better, null);
                $this->issue(['times_a_day' => 1]);
            },
            'renamed' => fn () => $this->patient->update(['name' => 'Wren '.$random->getInt(1, 9)]),
        ];
    }

    private function symptom(): ChosenSymptom
    {
        return ChosenSymptom::query()->firstOrCreate(['patient_id' => $this->patient->id, 'name' => 'tension']);
    }

    /** @return list<array<string, mixed>> */
    private function expectKept(string $when): array
    {
        $now = CarbonImmutable::now();
        $kept = CaseloadLines::of($this->practitioner->clinic->refresh(), $now);
        $files = OnFile::many(Patient::query()->where('clinic_id', $this->practitioner->clinic_id)->get(), $now);
        $anew = array_map(fn (OnFile $file) => CaseloadLineOf::on($file), $files);
        uasort($anew, fn (array $a, array $b) => [$a['urgency'], $a['line']['name'], $a['line']['id']] <=> [$b['urgency'], $b['line']['name'], $b['line']['id']]);
        self::assertSame(json_encode(array_column($anew, 'line')), json_encode($kept), $when);

        return $kept;
    }

    private function patients(int $number): void
    {
        for ($each = 0; $each < $number; $each++) {
            $patient = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
            $this->screen(patient: $patient);
            $this->issue(patient: $patient);
        }
    }

    private function queries(): int
    {
        $clinic = $this->practitioner->clinic;
        DB::flushQueryLog();
        DB::enableQueryLog();
        CaseloadLines::of($clinic, CarbonImmutable::now());

        return count(DB::getQueryLog());
    }
}
