<?php

declare(strict_types=1);

namespace Tests\Feature\Record;

use App\Models\AskedForm;
use App\Models\CareSession;
use App\Models\Clinic;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Practitioner;
use App\Models\Programme;
use App\Models\ProgrammeVersion;
use App\Models\RaisedRedFlag;
use App\Models\TrailEntry;
use App\Reports\QuarterFacts;
use App\Reports\QuarterReport;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Quarter;
use Tests\Feature\ReadsPdf;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What a clinic gives away by quarter: the right days, nobody else's patients, and nothing about few people. */
final class ReportTest extends TestCase
{
    use ReadsPdf, RefreshDatabase, Scenario;

    public function test_it_says_what_the_rows_say_counted_a_second_way(): void
    {
        $clinic = $this->aClinicAtRandom();
        $patients = Patient::query()->where('clinic_id', $clinic->id)->get();
        foreach (['2026-4', '2026-3', '2026-2', '2025-4'] as $key) {
            $quarter = Quarter::read($key) ?? self::fail($key);
            $facts = (new QuarterFacts($clinic, $quarter))->numbers();
            $isIn = fn (?CarbonImmutable $at): bool => $at !== null && Quarter::containing(PatientDay::at($at->setTimezone($clinic->time_zone)))->key() === $key;
            $isOn = fn (?CarbonImmutable $on): bool => $on !== null && Quarter::containing(PatientDay::of($on->format('Y-m-d')))->key() === $key;
            $programmes = Programme::query()->whereIn('patient_id', $patients->modelKeys())->where('is_maintenance', false)->with('versions')->get();
            self::assertSame($programmes->filter(fn (Programme $each) => $isOn($each->versions->min(fn (ProgrammeVersion $version) => $version->in_force_from)))->pluck('patient_id')->unique()->count(), $facts->begun, "begun in $key");
            self::assertSame($programmes->filter(fn (Programme $each) => $each->outcome !== null && $isOn($each->closed_on))->count(), array_sum($facts->closed), "closed in $key");
            $sessions = CareSession::query()->whereIn('patient_id', $patients->modelKeys())->whereNull('dropped_at')->get()->filter(fn (CareSession $each) => $isIn($each->begun_at));
            self::assertSame(['people' => $sessions->pluck('patient_id')->unique()->count(), 'sessions' => $sessions->count()], ['people' => $facts->seen, 'sessions' => $facts->sessions], "seen in $key");
            $practices = Practice::query()->whereIn('patient_id', $patients->modelKeys())->get()->filter(fn (Practice $each) => $isIn($each->started_at) && $each->record()->isCredited());
            self::assertSame([
                'people' => $practices->pluck('patient_id')->unique()->count(), 'practices' => $practices->count(),
                'stops' => $practices->filter(fn (Practice $each) => $each->record()->stoppedForSymptom)->count(), 'seconds' => (int) $practices->sum('seconds_done'),
            ], ['people' => $facts->practised, 'practices' => $facts->practices, 'stops' => $facts->stops, 'seconds' => $facts->seconds], "practised in $key");
            self::assertSame(RaisedRedFlag::query()->whereIn('patient_id', $patients->modelKeys())->get()->filter(fn (RaisedRedFlag $each) => $isIn($each->raised_at))->pluck('patient_id')->unique()->count(), $facts->raised);
        }
        self::assertGreaterThan(20, (new QuarterFacts($clinic, Quarter::of(2026, 4)))->numbers()->practices);
        $this->actingAs($this->practitioner, 'practitioner');
        $queries = 0;
        DB::listen(function () use (&$queries): void {
            $queries++;
        });
        $this->get('/clinic/report.csv')->assertOk();
        self::assertLessThan(60, $queries, 'however many patients there are');
    }

    public function test_small_numbers_are_left_out_and_others_stand_as_they_are(): void
    {
        $this->closings(['goal-reached' => 8, 'better' => 6, 'symptoms' => 1]);
        $csv = (string) $this->get('/clinic/report.csv?quarter=2026-3')->assertOk()->assertHeader('Content-Type', 'text/csv; charset=UTF-8')->getContent();
        self::assertStringStartsWith('about,what,Oct–Dec 2025,Jan–Mar 2026,Apr–Jun 2026,Jul–Sep 2026', $csv);
        self::assertStringContainsString("Programmes,closed,0,0,0,15\r\n", $csv);
        self::assertStringContainsString("Programmes,goal reached,0,0,0,8\r\n", $csv);
        self::assertStringContainsString("Programmes,\"better, goal not reached\",0,0,0,\r\n", $csv, 'or the one could be found from the sum');
        self::assertStringContainsString("Programmes,ended for symptoms,0,0,0,\r\n", $csv);
        self::assertStringContainsString("\"GAD-7, first to last answers of programmes that were closed\",answered twice,0,0,0,15\r\n", $csv);
        self::assertStringContainsString('"recovered, reliably",0,0,0,15', $csv);
        $pdf = $this->text((string) $this->get('/clinic/report.pdf?quarter=2026-3')->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent());
        self::assertMatchesRegularExpression('/goal reached\s+0\s+0\s+0\s+8/', $pdf);
        self::assertMatchesRegularExpression('/ended for symptoms\s+0\s+0\s+0\s+–/u', $pdf);
        self::assertStringContainsString('fewer than 5 people', $pdf);
        self::assertStringStartsWith("\u{FEFF}about,", (string) $this->get('/clinic/report.csv?byte_mark=1')->getContent());
        self::assertSame(3, TrailEntry::query()->where('kind', 'export')->count());
    }

    public function test_a_quarter_begins_and_ends_at_the_clinics_midnight_and_only_ended_ones_are_offered(): void
    {
        $this->clinicWithPatient();
        $clinic = $this->patient->clinic;
        $clinic->update(['time_zone' => 'Europe/Lisbon']);
        foreach (['2026-06-30 22:59:59', '2026-06-30 23:00:00', '2026-09-30 22:59:59', '2026-09-30 23:00:00'] as $at) {
            RaisedRedFlag::query()->create(['patient_id' => Patient::factory()->create(['clinic_id' => $clinic->id, 'practitioner_id' => $this->practitioner->id])->id, 'flag' => 'chest-pain', 'source' => 'home', 'raised_at' => $at]);
        }
        self::assertSame([1, 2, 1], array_map(fn (int $number) => (new QuarterFacts($clinic, Quarter::of(2026, $number)))->numbers()->raised, [2, 3, 4]));
        $offered = fn (string $now): string => QuarterReport::offered($clinic, CarbonImmutable::parse($now, 'UTC'))[0]->key();
        self::assertSame(['2026-2', '2026-3'], [$offered('2026-09-30 22:59'), $offered('2026-09-30 23:00')]);
        $this->travelTo(CarbonImmutable::parse('2026-11-25 15:00'));
        $this->actingAs($this->practitioner, 'practitioner');
        foreach (['?quarter=2026-4', '?quarter=1999-1', '?quarter[]=x', '?quarter=', ''] as $query) {
            self::assertStringContainsString(',Jul–Sep 2026', explode("\r\n", (string) $this->get("/clinic/report.csv$query")->assertOk()->getContent())[0], $query);
        }
        self::assertCount(8, $this->props($this->get('/clinic'))['quarters']);
    }

    public function test_nothing_of_another_clinic_is_in_it(): void
    {
        $this->closings(['better' => 9]);
        $this->actingAs(Practitioner::factory()->create(), 'practitioner');
        self::assertStringContainsString("Programmes,closed,0,0,0,0\r\n", (string) $this->get('/clinic/report.csv?quarter=2026-3')->getContent());
    }

    /** Patients with everything that is counted, near the ends of quarters and anywhere else; some of it taken back, doubted or dropped. */
    private function aClinicAtRandom(): Clinic
    {
        $this->travelTo(CarbonImmutable::parse('2026-12-20 15:00'));
        $this->clinicWithPatient();
        $clinic = $this->patient->clinic;
        $clinic->update(['time_zone' => 'Europe/Lisbon']);
        mt_srand(29);
        $ends = ['2025-12-31', '2026-01-01', '2026-03-31', '2026-04-01', '2026-06-30', '2026-07-01', '2026-09-30', '2026-10-01'];
        $day = fn (): string => mt_rand(0, 2) === 0 ? $ends[mt_rand(0, 7)] : CarbonImmutable::parse('2025-10-01')->addDays(mt_rand(0, 440))->format('Y-m-d');
        $at = fn (): string => $day().sprintf(' %02d:%02d:00', [0, 22, 23, 12][mt_rand(0, 3)], mt_rand(0, 59));
        foreach (range(1, 12) as $each) {
            $patient = Patient::factory()->create(['clinic_id' => $clinic->id, 'practitioner_id' => $this->practitioner->id]);
            [$device] = $this->device($patient, null);
            $programme = Programme::query()->create(['patient_id' => $patient->id, 'is_maintenance' => mt_rand(0, 5) === 0]);
            foreach (range(1, mt_rand(1, 3)) as $number) {
                DB::table('programme_versions')->insert([
                    'programme_id' => $programme->id, 'number' => $number, 'practitioner_id' => $this->practitioner->id, 'in_force_from' => $day(), 'ends_on' => null,
                    'review_on' => '2026-12-24', 'rated_symptom' => 'tension', 'school' => 'gentle-control', 'issued_at' => $at(), 'item_count' => 0,
                    'withdrawn_at' => $number > 1 && mt_rand(0, 2) === 0 ? $at() : null,
                ]);
            }
            $version = (int) $programme->everyVersion()->value('id');
            foreach (range(1, mt_rand(5, 40)) as $practice) {
                $started = $at();
                DB::table('practices')->insert([
                    'uuid' => (string) Str::uuid(), 'patient_id' => $patient->id, 'device_id' => $device->id, 'programme_version_id' => $version, 'lineage' => strtolower((string) Str::ulid()),
                    'started_at' => $started, 'ended_at' => $started, 'received_at' => $started, 'breaths_done' => mt_rand(0, 12), 'breaths_prescribed' => 12,
                    'seconds_done' => mt_rand(0, 300), 'seconds_prescribed' => 120, 'interruptions' => 0, 'source' => 'device',
                    'stop_class' => [null, null, 'no-symptom', 'made-me-stop', 'get-help'][mt_rand(0, 4)], 'doubt' => mt_rand(0, 3) === 0 ? 'too-fast' : null,
                    'struck_at' => mt_rand(0, 6) === 0 ? $at() : null,
                ]);
            }
            foreach (range(1, mt_rand(1, 6)) as $session) {
                $begun = $at();
                CareSession::query()->create(['patient_id' => $patient->id, 'practitioner_id' => $this->practitioner->id, 'number' => $session, 'begun_at' => $begun, 'closed_at' => $begun, 'dropped_at' => mt_rand(0, 4) === 0 ? $begun : null]);
            }
            foreach (range(1, mt_rand(1, 2)) as $flag) {
                RaisedRedFlag::query()->create(['patient_id' => $patient->id, 'flag' => 'chest-pain', 'source' => 'home', 'raised_at' => $at()]);
            }
            if (mt_rand(0, 1) === 0) {
                $programme->update(['closed_on' => $day(), 'outcome' => ['better', 'patient'][mt_rand(0, 1)], 'closed_by' => $this->practitioner->id]);
            }
        }

        return $clinic->refresh();
    }

    /** @param  array<string, int>  $outcomes  each of a patient of their own, on one day of a summer */
    private function closings(array $outcomes): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-11-25 15:00'));
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
        foreach ($outcomes as $outcome => $count) {
            foreach (range(1, $count) as $each) {
                $patient = Patient::factory()->create(['clinic_id' => $this->patient->clinic_id, 'practitioner_id' => $this->practitioner->id]);
                $programme = Programme::query()->create(['patient_id' => $patient->id]);
                DB::table('programme_versions')->insert([
                    'programme_id' => $programme->id, 'number' => 1, 'practitioner_id' => $this->practitioner->id, 'in_force_from' => '2026-07-01', 'ends_on' => '2026-08-30',
                    'review_on' => '2026-08-01', 'rated_symptom' => 'tension', 'school' => 'gentle-control', 'issued_at' => '2026-07-01 10:00:00', 'item_count' => 0,
                ]);
                $programme->update(['closed_on' => '2026-08-30', 'outcome' => $outcome, 'closed_by' => $this->practitioner->id]);
                // The first too early, the last too late to count.
                foreach (['2026-01-05' => 2, '2026-06-20' => 14, '2026-08-30' => 5, '2026-09-15' => 20] as $on => $score) {
                    AskedForm::query()->create(['patient_id' => $patient->id, 'form' => 'gad-7', 'answered_on' => 'room', 'practitioner_id' => $this->practitioner->id, 'asked_at' => $on, 'answers' => [1 => 1], 'answered' => 1, 'completed_at' => "$on 12:00:00", 'score' => $score]);
                }
            }
        }
    }
}
