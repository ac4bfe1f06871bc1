<?php

declare(strict_types=1);

namespace Tests\Feature\Desk;

use App\Models\Handover;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use App\Models\TrailEntry;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class RecordTest extends TestCase
{
    use RefreshDatabase;
    use Scenario;

    private Practitioner $colleague;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->colleague = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'name' => 'Ada Tern']);
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_looks_and_changes_leave_a_trail_that_only_the_lead_sees(): void
    {
        $this->screen();
        $this->get($this->url('bench'))->assertOk();
        $this->get($this->url('bench'))->assertOk();
        $this->postJson($this->url('bench/answer'), ['items' => []])->assertOk();
        $this->postJson($this->url('measure'), ['measure' => 'pulse', 'value' => 70, 'position' => 'seated'])->assertCreated();
        $this->postJson($this->url('measure'), ['measure' => 'pulse', 'value' => 7000, 'position' => 'seated'])->assertUnprocessable();
        self::assertSame(
            [['read', 'bench'], ['read', 'bench/answer'], ['write', 'measure']],
            TrailEntry::query()->orderBy('id')->get()->map(fn (TrailEntry $entry) => [$entry->kind->value, $entry->what])->all(),
        );

        $this->get($this->url('record'))->assertInertia(fn (AssertableInertia $page) => $page->where('trail', null)->has('measurements', 1));
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('is_lead', false)->where('trail', null));
        $this->practitioner->update(['role' => Role::Lead]);
        $this->get($this->url('record'))->assertInertia(fn (AssertableInertia $page) => $page->where('trail.0.by', $this->practitioner->name)->has('trail'));
        $this->get('/clinic')->assertInertia(fn (AssertableInertia $page) => $page->where('trail', fn ($trail) => collect($trail)->contains(fn ($line) => $line['what'] === 'Measurements' && $line['kind'] === 'changed')));
        foreach (['update access_trail set what = "x"', 'delete from access_trail'] as $statement) {
            try {
                DB::statement($statement);
                self::fail("“{$statement}” was carried out");
            } catch (QueryException $refusal) {
                self::assertStringContainsString('cannot be', $refusal->getMessage());
            }
        }
    }

    public function test_roles_are_given_by_the_lead_and_a_clinic_keeps_one(): void
    {
        $this->put("/clinic/people/{$this->colleague->id}", ['role' => 'lead'])->assertForbidden();
        $this->practitioner->update(['role' => Role::Lead]);
        $this->put("/clinic/people/{$this->practitioner->id}", ['role' => 'practitioner'])->assertSessionHasErrors('role');
        $this->put("/clinic/people/{$this->colleague->id}", ['role' => 'emperor'])->assertSessionHasErrors('role');
        $this->put("/clinic/people/{$this->colleague->id}", ['role' => 'lead'])->assertRedirect();
        self::assertSame(Role::Lead, $this->colleague->refresh()->role);
        $this->put('/clinic/people/'.Practitioner::factory()->create()->id, ['role' => 'lead'])->assertNotFound();
    }

    public function test_sharing_and_moving_leave_a_record(): void
    {
        $hand = fn (array $order) => $this->post($this->url('handovers'), $order);
        $hand(['kind' => 'share', 'to' => $this->colleague->id, 'reason' => ''])->assertSessionHasErrors('reason');
        $hand(['kind' => 'share', 'to' => $this->practitioner->id, 'reason' => 'Why not'])->assertSessionHasErrors('to');
        $hand(['kind' => 'end-share', 'to' => $this->colleague->id, 'reason' => 'Why not'])->assertSessionHasErrors('to');
        $hand(['kind' => 'share', 'to' => Practitioner::factory()->create()->id, 'reason' => 'Another clinic'])->assertSessionHasErrors('to');
        self::assertSame(0, Handover::query()->count());
        $hand(['kind' => 'share', 'to' => $this->colleague->id, 'reason' => 'Covers Thursdays'])->assertSessionHasNoErrors();
        $hand(['kind' => 'share', 'to' => $this->colleague->id, 'reason' => 'Again'])->assertSessionHasErrors('to');
        $this->get($this->url('record'))->assertInertia(fn (AssertableInertia $page) => $page->where('shared_with.0.name', 'Ada Tern')->where('handovers.0.reason', 'Covers Thursdays'));
        $hand(['kind' => 'move', 'to' => $this->colleague->id, 'reason' => 'Leave'])->assertSessionHasNoErrors();
        self::assertSame($this->colleague->id, $this->patient->refresh()->practitioner_id);
        $this->get($this->url('record'))->assertInertia(fn (AssertableInertia $page) => $page->where('shared_with', [])->where('responsible.name', 'Ada Tern'));
        $this->expectException(QueryException::class);
        DB::statement('delete from handovers');
    }

    public function test_the_same_name_and_birth_date_is_asked_about_once(): void
    {
        $same = ['name' => $this->patient->name, 'birth_date' => $this->patient->birth_date->format('Y-m-d'), 'time_zone' => 'Europe/Lisbon', 'day_start' => '04:00'];
        $this->post('/patients', $same)->assertSessionHasErrors(['is_other', 'same' => $this->patient->id]);
        self::assertSame(1, Patient::query()->count());
        $this->post('/patients', [...$same, 'is_other' => true])->assertSessionHasNoErrors();
        self::assertSame(2, Patient::query()->count());
        $this->actingAs(Practitioner::factory()->create(), 'practitioner')->post('/patients', $same)->assertSessionHasNoErrors();
    }

    public function test_details_are_changed_and_a_wrong_one_is_named(): void
    {
        $details = ['name' => 'New Name', 'birth_date' => '1980-05-06', 'time_zone' => 'Europe/Dublin', 'day_start' => '14:00', 'contact' => '', 'minutes_a_day' => '12'];
        $this->put($this->url('details'), ['day_start' => '25:00'] + $details)->assertSessionHasErrors('day_start');
        $this->put($this->url('details'), $details)->assertSessionHasNoErrors();
        self::assertSame(['New Name', '14:00', 12], [$this->patient->refresh()->name, $this->patient->day_start, $this->patient->minutes_a_day]);
    }

    private function url(string $path): string
    {
        return "/patients/{$this->patient->id}/$path";
    }
}
