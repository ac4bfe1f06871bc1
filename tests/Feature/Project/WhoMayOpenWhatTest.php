<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Actions\Assessment\AskForm;
use App\Actions\Session\BeginSession;
use App\Models\Device;
use App\Models\KeptAside;
use App\Models\OwnExercise;
use App\Models\OwnRoutine;
use App\Models\OwnTemplate;
use App\Models\OwnWork;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\RaisedRedFlag;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** Every address, tried as a stranger, as another clinic, and as a patient's device. */
final class WhoMayOpenWhatTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const OPEN_TO_ALL = [
        'GET sign-in', 'POST sign-in', 'GET enter', 'GET worker.js', 'GET calendar/{token}.ics', 'GET messages/{token}', 'POST messages/{token}', 'GET my/{any?}', 'GET up',
        'POST api/v1/access', 'GET api/v1/me', 'GET sign-in/code', 'POST sign-in/code', 'GET join', 'POST join', 'POST join/look', 'GET found', 'POST found',
        'POST found/look', 'GET forgotten', 'POST api/v1/sensor/pair',
        'POST forgotten', 'GET new-password', 'POST new-password',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->screen(['red.chest-pain']);
        $this->actOnRedFlags();
        $this->issue();
    }

    public function test_a_stranger_is_sent_to_the_sign_in(): void
    {
        foreach ($this->practitionerRoutes() as [$method, $path]) {
            $this->call($method, $path)->assertRedirect('/sign-in');
        }
    }

    public function test_a_stranger_reaches_nothing_of_the_patients_side(): void
    {
        foreach ($this->patientRoutes() as [$method, $path]) {
            $this->withHeader('X-Ivory-Pace', '1')->json($method, $path)->assertUnauthorized();
        }
    }

    public function test_another_clinic_is_told_that_there_is_no_such_patient(): void
    {
        $other = Practitioner::factory()->create();
        $paths = array_filter($this->practitionerRoutes(), fn (array $route) => str_contains($route[1], $this->patient->id));
        self::assertGreaterThan(10, count($paths));
        foreach ($paths as [$method, $path]) {
            $this->actingAs($other, 'practitioner')->json($method, $path)->assertNotFound();
        }
        $this->actingAs($other, 'practitioner')->get('/')->assertInertia(fn ($page) => $page->where('lines', []));
    }

    public function test_a_patients_device_reaches_nothing_of_the_practitioners_side(): void
    {
        [, $credential] = $this->device();
        foreach ($this->practitionerRoutes() as [$method, $path]) {
            // Who comes by the bare address is led on to their own pages.
            $this->fromDevice($credential)->call($method, $path)->assertRedirect($path === '/' ? '/my' : '/sign-in');
        }
    }

    public function test_a_practitioner_reaches_nothing_of_the_patients_side(): void
    {
        foreach ($this->patientRoutes() as [$method, $path]) {
            $this->actingAs($this->practitioner, 'practitioner')->withHeader('X-Ivory-Pace', '1')->json($method, $path)->assertUnauthorized();
            $this->app?->make('auth')->forgetGuards();
        }
    }

    public function test_a_sensors_side_is_for_sensors_only(): void
    {
        [, $credential] = $this->device();
        $routes = $this->routes(fn (string $uri) => str_starts_with($uri, 'api/v1/sensor'));
        self::assertCount(3, $routes);
        foreach ($routes as [$method, $path]) {
            $this->call($method, $path)->assertUnauthorized()->assertHeader('Content-Type', 'application/json');
            $this->withToken($credential)->json($method, $path)->assertUnauthorized();
            $this->fromDevice($credential)->json($method, $path)->assertUnauthorized();
            $this->actingAs($this->practitioner, 'practitioner')->json($method, $path)->assertUnauthorized();
            $this->app?->make('auth')->forgetGuards();
        }
    }

    public function test_a_patients_address_needs_the_header_of_our_own_pages(): void
    {
        [, $credential] = $this->device();
        foreach ($this->patientRoutes() as [$method, $path]) {
            $this->withCredentials()->withCookie('ivory_pace_device', $credential)->json($method, $path)->assertStatus(400);
        }
    }

    public function test_pauses_devices_and_answers_of_another_patient_are_not_reached_through_ones_own(): void
    {
        $mine = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        [$device] = $this->device();
        $flag = RaisedRedFlag::query()->sole();

        $this->actingAs($this->practitioner, 'practitioner');
        $this->deleteJson("/patients/{$mine->id}/devices/{$device->id}")->assertNotFound();
        $this->postJson("/patients/{$mine->id}/kept-aside/{$this->keptAside($device)->id}", ['accept' => true])->assertNotFound();
        $this->postJson("/patients/{$mine->id}/red-flags/{$flag->id}/actions", ['line' => 'Something was done.', 'outcome' => 'may-go-on'])->assertNotFound();
        self::assertNull($device->refresh()->revoked_at);
    }

    public function test_what_another_clinic_has_made_is_neither_seen_nor_changed(): void
    {
        $exercise = $this->own(new OwnExercise);
        $routine = $this->own(new OwnRoutine);
        $this->actingAs(Practitioner::factory()->create(), 'practitioner');
        foreach (["/own-exercises/{$exercise->id}", "/routines/{$routine->id}"] as $path) {
            $this->putJson($path, ['fields' => []])->assertNotFound();
            $this->deleteJson($path)->assertNotFound();
        }
        $this->deleteJson('/templates/'.$this->own(new OwnTemplate)->id)->assertNotFound();
        foreach (["/exercises/{$exercise->id}", "/exercises/{$exercise->id}/play", "/routines/{$routine->id}", "/routines/{$routine->id}/play", "/exercises?patient={$this->patient->id}"] as $path) {
            $this->getJson($path)->assertNotFound();
        }
        $this->get('/exercises')->assertInertia(fn ($page) => $page->where('patients', [])
            ->where('list', fn ($list) => collect($list)->every(fn ($entry) => ! $entry['is_own']))
            ->where('routines', fn ($list) => collect($list)->every(fn ($entry) => ! $entry['is_own'])));
        self::assertTrue($exercise->exists() && $routine->exists());
    }

    private function own(OwnWork $of): OwnWork
    {
        return $of->newQuery()->firstOrCreate(['clinic_id' => $this->practitioner->clinic_id, 'name' => 'Quay breath'], [
            'practitioner_id' => $this->practitioner->id,
            'fields' => $of instanceof OwnExercise ? ['technique' => 'own', 'own_name' => 'Quay breath', 'ratio' => '3:5']
                : ['name' => 'Quay breath', 'steps' => [['kind' => 'exercise', 'technique' => 'square']]],
        ]);
    }

    private function keptAside(Device $device): KeptAside
    {
        return KeptAside::query()->firstOrCreate(['device_id' => $device->id, 'item' => 'one'], [
            'patient_id' => $device->patient_id, 'kind' => 'diary', 'body' => [], 'sent_at' => now(), 'received_at' => now(),
        ]);
    }

    /** @return list<array{string, string}> */
    private function practitionerRoutes(): array
    {
        return $this->routes(fn (string $uri) => ! str_starts_with($uri, 'api/'));
    }

    /** @return list<array{string, string}> */
    private function patientRoutes(): array
    {
        return $this->routes(fn (string $uri) => str_starts_with($uri, 'api/') && ! str_starts_with($uri, 'api/v1/sensor'));
    }

    /**
     * @param  callable(string): bool  $which
     * @return list<array{string, string}> method and path of every address that is not open to all
     */
    private function routes(callable $which): array
    {
        [$device] = $this->device();
        $flag = RaisedRedFlag::query()->sole();
        $routes = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            assert($route instanceof Route);
            $method = $route->methods()[0];
            if (in_array("$method {$route->uri()}", self::OPEN_TO_ALL, true) || str_starts_with($route->uri(), 'storage') || str_starts_with($route->uri(), '_') || ! $which($route->uri())) {
                continue;
            }
            $routes[] = [$method, '/'.strtr($route->uri(), [
                'account/sessions/{key}' => 'account/sessions/0123456789abcdef', '{invitation}' => '1',
                '{patient}' => $this->patient->id, '{number}' => '1', '{device}' => (string) $device->id, '{id}' => (string) $device->id, '{kept}' => (string) $this->keptAside($device)->id, '{flag}' => (string) $flag->id, '{pause}' => '1', '{appointment}' => '1', '{absence}' => '1', '{line}' => 'number.1',
                '{kind}' => 'progress', '{letter}' => '1', '{sensor}' => '1', '{type}' => 'edf', '{measurement}' => '1', '{uuid}' => '0f6e2d7c-1b7a-4c0e-9a53-6d1f0a2b3c4d',
                '{careSession}' => app(BeginSession::class)($this->patient, $this->practitioner)->id, '{step?}' => 'measure', '{step}' => 'measure',
                '{form}' => app(AskForm::class)($this->patient, $this->practitioner, 'gad-7', 'device')->id, '{practitioner}' => (string) $this->practitioner->id,
                '{key?}' => 'square', '{key}' => 'end-of-shift', '{ownExercise}' => $this->own(new OwnExercise)->id, '{ownRoutine}' => $this->own(new OwnRoutine)->id, '{ownTemplate}' => $this->own(new OwnTemplate)->id,
            ])];
        }
        self::assertNotEmpty($routes);

        return $routes;
    }
}
