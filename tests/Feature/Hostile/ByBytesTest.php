<?php

declare(strict_types=1);

namespace Tests\Feature\Hostile;

use App\Models\ChosenSymptom;
use App\Models\KeptAside;
use App\Models\OwnExercise;
use App\Models\OwnTemplate;
use App\Models\Patient;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What only looks alike is not the same, and what happens at the same moment is no error. */
final class ByBytesTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->screen();
    }

    public function test_ids_of_a_device_that_differ_in_case_are_two(): void
    {
        [$device, $credential] = $this->device();
        $device->update(['revoked_at' => now()]);
        $this->fromDevice($credential);
        foreach (['abc', 'ABC', 'abc'] as $id) {
            $this->postJson('/api/v1/outbox', ['sent_at' => now()->format('Y-m-d\TH:i:s.v\Z'), 'items' => [['id' => $id, 'kind' => 'practice', 'body' => ['uuid' => $id]]]])
                ->assertOk()->assertJsonPath('answers.0.result', 'kept-aside');
        }
        self::assertSame(['abc', 'ABC'], KeptAside::query()->orderBy('id')->pluck('item')->all());
    }

    public function test_names_that_the_collation_takes_for_the_same_are_two_and_those_that_differ_in_case_are_one(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $own = fn (string $name) => $this->postJson('/own-exercises', ['fields' => ['technique' => 'own', 'own_name' => $name, 'ratio' => '3:5']]);
        $own('Strasse')->assertCreated();
        $own('Straße')->assertCreated();
        $own('STRASSE')->assertUnprocessable();
        self::assertSame(2, OwnExercise::query()->count());
        $this->putJson("/patients/{$this->patient->id}/measure/choices", ['symptoms' => ['strasse', 'straße']])->assertSuccessful();
        self::assertSame(2, ChosenSymptom::query()->count());
        foreach (['Strasse', 'Straße'] as $name) {
            OwnTemplate::query()->create(['clinic_id' => $this->practitioner->clinic_id, 'practitioner_id' => $this->practitioner->id, 'name' => $name, 'fields' => []]);
        }
        self::assertSame(2, OwnTemplate::query()->count());
    }

    public function test_caseload_and_clinic_open_while_a_colleague_adds_a_patient(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $this->get('/')->assertOk();
        foreach (['/', '/clinic', '/exercises'] as $page) {
            // After every query that the page makes, somebody new.
            for ($at = 1; $at <= 12; $at++) {
                $queries = 0;
                $isOn = true;
                DB::listen(function () use (&$queries, &$isOn, $at): void {
                    if ($isOn && ++$queries === $at) {
                        $isOn = false;
                        Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
                    }
                });
                $this->get($page)->assertOk();
                $isOn = false;
            }
        }
        self::assertGreaterThan(20, Patient::query()->count());
    }
}
