<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Facts\Caseload\CaseloadLines;
use App\Models\Clinic;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Practitioner;
use App\Models\Role;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What became of a clinic's patients, its settings, and the crowd it is measured with. */
final class ClinicOutcomesTest extends TestCase
{
    use RefreshDatabase, Scenario;

    public function test_a_clinic_of_few_patients_shows_no_sums_and_one_of_five_does(): void
    {
        $this->travelTo('2026-11-01 06:00:00');
        $this->clinicWithPatient();
        $patients = [$this->patient, ...Patient::factory()->count(4)->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id])];
        $devices = [];
        foreach ($patients as $patient) {
            $this->screen(patient: $patient);
            $version = $this->issue(['times_a_day' => 1], patient: $patient);
            $devices[] = [$this->device($patient)[0], $version];
        }
        $this->travelTo('2026-11-03 08:00:00');
        foreach ($devices as $index => [$device, $version]) {
            $this->store($device, $this->practiceLog($version, $index === 0 ? ['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness'] : []));
        }
        $this->travelTo('2026-11-04 05:00:00');
        $this->actingAs($this->practitioner, 'practitioner');
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page
            ->where('outcomes.techniques.0.name', 'Extended exhale')->where('outcomes.techniques.0.patients', 5)->where('outcomes.techniques.0.practices', 5)->where('outcomes.techniques.0.stops_per_1000', 200)
            ->where('outcomes.techniques.0.share', 0.5)->where('outcomes.anchors.0.due', 10));
        foreach (array_slice($patients, 1) as $patient) {
            $this->post("/patients/{$patient->id}/programme/close", ['outcome' => 'better']);
        }
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('outcomes.techniques', [])->where('outcomes.finished', ['programmes' => 4, 'outcomes' => []]));
        foreach (array_slice($patients, 0, 1) as $patient) {
            $this->post("/patients/{$patient->id}/programme/close", ['outcome' => 'better']);
        }
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('outcomes.finished.outcomes', [['label' => 'better, goal not reached', 'programmes' => 5]]));
    }

    public function test_the_lead_sets_wording_and_school_and_a_new_programme_begins_with_it(): void
    {
        $this->clinicWithPatient();
        $this->screen();
        $set = fn (array $with) => $this->from('/clinic')->actingAs($this->practitioner->refresh(), 'practitioner')->put('/clinic/settings', $with);
        $set(['emergency_wording' => 'Call the harbour doctor on 112.', 'school' => 'rib-mechanics'])->assertForbidden();
        $this->practitioner->update(['role' => Role::Lead]);
        $this->app?->make('auth')->forgetGuards();
        $set(['emergency_wording' => 'Help', 'crisis_number' => 'the vicar', 'school' => 'own'])->assertSessionHasErrors(['crisis_number' => 'Write the number, and whose it is.', 'emergency_wording' => 'Say whom to call and when, in a sentence.', 'school' => 'Choose one of the list.']);
        $set(['emergency_wording' => 'Call the harbour doctor on 112.', 'school' => 'rib-mechanics'])->assertSessionHasErrors('crisis_number');
        $set(['emergency_wording' => 'Call the harbour doctor on 112.', 'crisis_number' => ' 808 200 204, the listening line ', 'school' => 'rib-mechanics'])->assertSessionHasNoErrors();
        $this->get("/patients/{$this->patient->id}/bench")->assertInertia(fn (AssertableInertia $page) => $page->where('answer.school', 'rib-mechanics'));
        self::assertSame(['Call the harbour doctor on 112.', '808 200 204, the listening line'], [Clinic::query()->sole()->emergency_wording, Clinic::query()->sole()->crisis_number]);
    }

    public function test_a_crowd_is_made_for_measuring_and_never_beside_a_clinic_in_use(): void
    {
        self::assertSame(1, Artisan::call('demo:scale', ['--patients' => 0]));
        self::assertSame(0, Artisan::call('demo:scale', ['--patients' => 2, '--days' => 9]));
        self::assertSame([2, 2], [Patient::query()->count(), DB::table('caseload_lines')->whereNotNull('line')->count()]);
        self::assertGreaterThan(40, Practice::query()->count());
        $lines = CaseloadLines::of(Practitioner::query()->sole()->clinic, CarbonImmutable::now());
        self::assertSame(['Measured Wren 0001', 'Measured Wren 0002'], collect($lines)->pluck('name')->sort()->values()->all());
        Clinic::factory()->create();
        self::assertSame(1, Artisan::call('demo:scale', ['--patients' => 1, '--days' => 9]));
        self::assertStringContainsString('never for one that is in use', Artisan::output());
    }
}
