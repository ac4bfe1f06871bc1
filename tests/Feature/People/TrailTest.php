<?php

declare(strict_types=1);

namespace Tests\Feature\People;

use App\Guard\Trail;
use App\Http\Middleware\LeavesTrail;
use App\Models\Appointment;
use App\Models\Device;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use App\Models\TrailEntry;
use App\Models\TrailKind;
use App\Pages\Shared\TrailOf;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Inertia\Testing\AssertableInertia;
use RuntimeException;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What is done leaves a line, and nothing is done without one. */
final class TrailTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(CarbonImmutable::parse('2026-11-25 09:00:05'));
        $this->clinicWithPatient();
        $this->screen();
    }

    public function test_every_address_that_leaves_a_line_has_words(): void
    {
        $silent = [];
        foreach (Route::getRoutes() as $route) {
            $path = (string) preg_replace('#^patients/\{patient\}/?#', '', $route->uri());
            if (in_array(LeavesTrail::class, Route::gatherRouteMiddleware($route), true) && $path !== '' && $path !== '/' && TrailOf::words($path) === null) {
                $silent[] = $path;
            }
        }
        self::assertSame([], array_values(array_unique($silent)));
    }

    public function test_sign_ins_refusals_and_sign_outs_leave_a_line(): void
    {
        $this->post('/sign-in', ['email' => $this->practitioner->email, 'password' => 'wrong']);
        $this->post('/sign-in', ['email' => 'nobody@quay.example', 'password' => 'wrong']);
        $this->post('/sign-in', ['email' => $this->practitioner->email, 'password' => 'a-long-password']);
        $this->post('/sign-out');
        self::assertSame(['refused account/sign-in', 'sign-in account/sign-in', 'sign-out account/sign-in'], $this->lines());
    }

    public function test_caseload_new_patients_details_settings_and_roles_leave_a_line_with_what_was_and_what_became(): void
    {
        $this->practitioner->update(['role' => Role::Lead]);
        $colleague = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id]);
        $this->actingAs($this->practitioner, 'practitioner');
        $this->get('/');
        $this->get('/');
        $this->get('/exercises');
        $this->post('/patients', ['name' => 'Ilse Wren', 'birth_date' => '1980-02-03', 'time_zone' => 'Europe/Lisbon', 'day_start' => '03:00', 'locale' => 'en'])->assertSessionHasNoErrors();
        $made = Patient::query()->where('name', '<>', $this->patient->name)->latest('id')->first();
        $this->put("/clinic/people/{$colleague->id}", ['role' => 'lead'])->assertSessionHasNoErrors();
        $this->put('/clinic/settings', ['emergency_wording' => 'Call 112 and sit down at once.', 'crisis_number' => '808 200 204, the line', 'school' => $this->practitioner->clinic->school->value])->assertSessionHasNoErrors();
        self::assertSame(['read caseload', 'write patients', 'write clinic/people/{practitioner}', 'write clinic/settings'], $this->lines());
        $entries = TrailEntry::query()->orderBy('id')->get();
        self::assertSame($made?->id, $entries[1]?->patient_id);
        self::assertSame(['practitioner', 'lead'], $entries[2]->detail['role'] ?? null);
        self::assertSame('Call 112 and sit down at once.', $entries[3]->detail['emergency_wording'][1] ?? null);
        self::assertStringNotContainsString('Call 112', (string) json_encode(DB::table('access_trail')->get()));
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where(
            'trail', fn ($trail) => collect($trail)->contains(fn ($line) => $line['what'] === 'Role' && $line['changes'] === ['role: practitioner → lead']),
        ));
    }

    public function test_a_change_and_its_line_are_one(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $this->app?->instance(Trail::class, new class extends Trail
        {
            public function practitioner(Practitioner $who, TrailKind $kind, string $what, ?Patient $patient = null): void
            {
                throw new RuntimeException('The disk is full.');
            }
        });
        $this->postJson("/patients/{$this->patient->id}/measure", ['measure' => 'pulse', 'value' => 70, 'position' => 'seated'])->assertStatus(500);
        self::assertSame([0, 0], [Measurement::query()->count(), TrailEntry::query()->count()]);
    }

    public function test_what_is_refused_changes_nothing_and_leaves_no_line_of_a_change(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $this->put("/patients/{$this->patient->id}/details", ['name' => ''])->assertSessionHasErrors('name');
        $this->postJson("/patients/{$this->patient->id}/appointments", ['on' => 'never'])->assertUnprocessable();
        self::assertSame([0, []], [Appointment::query()->count(), $this->lines()]);
    }

    public function test_whoever_tries_the_door_of_another_clinic_stands_in_their_own_trail(): void
    {
        $other = Practitioner::factory()->create();
        $this->actingAs($other, 'practitioner')->get("/patients/{$this->patient->id}/record")->assertNotFound();
        $this->put('/clinic/settings', [])->assertForbidden();
        self::assertSame(['refused record', 'refused clinic/settings'], $this->lines());
        self::assertSame([[$other->clinic_id, null], [$other->clinic_id, null]], TrailEntry::query()->get()->map(fn (TrailEntry $entry) => [$entry->clinic_id, $entry->patient_id])->all());
    }

    public function test_devices_and_files_leave_a_line(): void
    {
        $version = $this->issue();
        [, $credential] = $this->device();
        $this->actingAs($this->practitioner, 'practitioner')->get("/patients/{$this->patient->id}/versions/{$version->number}/programme.json")->assertOk();
        $this->app?->make('auth')->forgetGuards();
        $this->fromDevice($credential);
        for ($try = 0; $try < Device::MOST_WRONG_PINS + 2; $try++) {
            $this->postJson('/api/v1/unlock', ['pin' => '000000'])->assertUnprocessable();
        }
        $lines = $this->lines();
        self::assertSame('write devices/joined', $lines[0]);
        self::assertContains('export versions/{number}/programme.json', $lines);
        self::assertSame(1, array_count_values($lines)['refused devices/locked-out']);
    }

    /** @return list<string> */
    private function lines(): array
    {
        return array_values(TrailEntry::query()->orderBy('id')->get()->map(fn (TrailEntry $entry) => "{$entry->kind->value} {$entry->what}")->all());
    }
}
