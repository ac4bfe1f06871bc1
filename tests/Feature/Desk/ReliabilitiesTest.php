<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\AskedForm;
use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Str;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What a clinic goes by, where no reliable change of a questionnaire is shipped. */
final class ReliabilitiesTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const PUT = '/clinic/reliabilities';

    private const GOOD = ['nijmegen' => ['sd' => '7.5', 'reliability' => '0.8'], 'mmrc' => ['sd' => '', 'reliability' => '']];

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
    }

    public function test_the_lead_enters_them_and_changes_are_judged_by_them_from_then_on(): void
    {
        foreach ([[40, '2026-10-01 10:00:00'], [20, '2026-11-01 10:00:00']] as [$score, $at]) {
            AskedForm::query()->create([
                'id' => strtolower((string) Str::ulid()), 'patient_id' => $this->patient->id, 'practitioner_id' => $this->practitioner->id, 'form' => 'nijmegen', 'answered_on' => 'room',
                'answers' => [], 'answered' => 16, 'score' => $score, 'missing' => 0, 'asked_at' => $at, 'completed_at' => $at,
            ]);
        }
        $this->lead();
        $change = fn (): mixed => collect($this->props($this->get("/patients/{$this->patient->id}/measure"))['desk']['questionnaires'])->firstWhere('key', 'nijmegen')['change'];
        self::assertSame('20 points fewer; no reliability is known, so nothing is claimed', $change());

        $this->from('/clinic')->put(self::PUT, ['reliabilities' => self::GOOD])->assertRedirect('/clinic')->assertSessionHasNoErrors();
        self::assertSame('20 points fewer: improved, reliably', $change());
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page
            ->where('reliabilities.0', ['key' => 'nijmegen', 'name' => 'Nijmegen questionnaire', 'sd' => 7.5, 'reliability' => 0.8])
            ->where('reliabilities.1.sd', null));

        $this->put(self::PUT, ['reliabilities' => []])->assertSessionHasNoErrors();
        self::assertStringContainsString('nothing is claimed', (string) $change(), 'empty takes them back');
    }

    public function test_what_is_wrong_is_said_at_its_field_and_nothing_is_kept(): void
    {
        $this->lead();
        $this->from('/clinic')->put(self::PUT, ['reliabilities' => ['nijmegen' => ['sd' => 'x', 'reliability' => '1']]])
            ->assertSessionHasErrors(['reliabilities.nijmegen.sd', 'reliabilities.nijmegen.reliability']);
        foreach (['x', ['nijmegen' => 'x'], ['nijmegen' => ['sd' => ['7'], 'reliability' => null]]] as $odd) {
            $this->put(self::PUT, ['reliabilities' => $odd])->assertRedirect();
        }
        self::assertSame([], $this->practitioner->clinic->refresh()->reliabilities ?? []);
    }

    public function test_only_the_lead_of_this_clinic_sets_them(): void
    {
        $this->put(self::PUT, ['reliabilities' => self::GOOD])->assertRedirect('/sign-in');
        [, $credential] = $this->device();
        $this->fromDevice($credential)->put(self::PUT, ['reliabilities' => self::GOOD])->assertRedirect('/sign-in');
        $this->actingAs($this->practitioner, 'practitioner')->put(self::PUT, ['reliabilities' => self::GOOD])->assertForbidden();
        $this->actingAs(Practitioner::factory()->create(['role' => Role::Lead]), 'practitioner')->put(self::PUT, ['reliabilities' => self::GOOD]);
        self::assertNull($this->practitioner->clinic->refresh()->reliabilities, 'another clinic’s lead sets those of another clinic');
    }

    private function lead(): void
    {
        $this->practitioner->update(['role' => Role::Lead]);
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
    }
}
