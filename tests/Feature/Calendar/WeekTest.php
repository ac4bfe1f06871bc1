<?php

declare(strict_types=1);

namespace Tests\Feature\Calendar;

use App\Actions\Account\EndPerson;
use App\Facts\Calendar\WhatMeets;
use App\Models\Absence;
use App\Models\Appointment;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use App\Models\TrailEntry;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** The clinic's days: who comes to whom, what meets, and who is away. */
final class WeekTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private Practitioner $colleague;

    protected function setUp(): void
    {
        parent::setUp();
        // A Wednesday, four days before the clocks of Lisbon change.
        $this->travelTo(CarbonImmutable::parse('2026-10-21 09:00:00'));
        $this->clinicWithPatient();
        $this->practitioner->clinic->update(['time_zone' => 'Europe/Lisbon']);
        $this->practitioner->update(['name' => 'Nora Ashgrove']);
        $this->colleague = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'name' => 'Idris Penwarden']);
        $this->actingAs($this->practitioner->refresh(), 'practitioner');
    }

    public function test_several_are_made_at_once_and_keep_the_clock_on_the_wall(): void
    {
        $this->book(['day' => '2026-10-22', 'time' => '09:30', 'kind' => 'review', 'every' => 2, 'times' => 3, 'with' => $this->colleague->id])
            ->assertSessionHas('flash', '3 appointments, the first: Thu 22 Oct, 09:30 with Idris Penwarden.');
        self::assertSame(
            ['2026-10-22 08:30', '2026-11-05 09:30', '2026-11-19 09:30'],
            Appointment::query()->orderBy('starts_at')->get()->map(fn (Appointment $each) => $each->starts_at->format('Y-m-d H:i'))->all(),
        );
        self::assertSame([1, 45], [Appointment::query()->distinct()->count('series'), Appointment::query()->firstOrFail()->minutes]);
        $this->get("/patients/{$this->patient->id}")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('appointment.words', 'Thu 22 Oct, 09:30 with Idris Penwarden')->where('appointment.more', 2));
    }

    public function test_a_first_appointment_and_the_lengths_of_the_clinic_come_by_themselves(): void
    {
        $this->practitioner->update(['role' => Role::Lead]);
        $settings = ['emergency_wording' => 'Call 112 and sit down at once.', 'crisis_number' => '808 200 204, the line', 'school' => 'gentle-control'];
        foreach ([['first' => 4], ['first' => 'an hour'], ['other' => 30], 'long', ['review' => '']] as $wrong) {
            $problems = $this->put('/clinic/settings', [...$settings, 'minutes' => $wrong])->assertSessionHasErrors()->getSession()->get('errors')->all();
            self::assertSame(['Write 5 to 480 minutes.'], array_unique($problems));
        }
        $this->put('/clinic/settings', [...$settings, 'minutes' => ['first' => 75, 'review' => 40, 'remote' => 20]])->assertSessionHasNoErrors();
        $this->put('/clinic/settings', $settings)->assertSessionHasNoErrors();
        $this->book(['day' => '2026-10-22', 'time' => '09:30']);
        $this->book(['day' => '2026-10-29', 'time' => '09:30']);
        $this->book(['day' => '2026-10-30', 'time' => '09:30', 'kind' => 'remote']);
        $this->book(['day' => '2026-10-31', 'time' => '09:30', 'kind' => 'remote', 'minutes' => 25]);
        self::assertSame(
            [['first', 75], ['review', 40], ['remote', 20], ['remote', 25]],
            Appointment::query()->orderBy('id')->get()->map(fn (Appointment $each) => [$each->kind->value, $each->minutes])->all(),
        );
    }

    public function test_one_of_a_series_is_moved_alone_or_with_those_that_come_later(): void
    {
        $this->book(['day' => '2026-10-22', 'time' => '09:30', 'every' => 1, 'times' => 3]);
        [$first, $second, $third] = Appointment::query()->orderBy('starts_at')->get()->all();
        $this->change($second, ['day' => '2026-10-30', 'time' => '14:00', 'with' => $this->colleague->id, 'kind' => 'remote', 'minutes' => 30, 'later' => true])
            ->assertSessionHas('flash', '2 appointments moved, the first: Fri 30 Oct, 14:00 with Idris Penwarden.');
        self::assertSame(
            [['2026-10-22 08:30', 'first', 0], ['2026-10-30 14:00', 'remote', 1], ['2026-11-06 14:00', 'remote', 1]],
            array_map(fn (Appointment $each) => [$each->refresh()->starts_at->format('Y-m-d H:i'), $each->kind->value, $each->revision], [$first, $second, $third]),
        );
        $this->change($third, ['day' => '2026-11-06', 'time' => '14:15'])->assertSessionHasNoErrors();
        self::assertSame(['2026-11-06 14:15', '2026-10-30 14:00'], [$third->refresh()->starts_at->format('Y-m-d H:i'), $second->refresh()->starts_at->format('Y-m-d H:i')]);
        self::assertSame([$this->colleague->id, 2], [$third->practitioner_id, $third->revision]);
        // The same once more changes nothing.
        $this->change($third, ['day' => '2026-11-06', 'time' => '14:15'])->assertSessionHasNoErrors();
        self::assertSame(2, $third->refresh()->revision);
        // Old and new stand in the trail.
        self::assertStringContainsString('2026-10-29 09:30', (string) json_encode(TrailEntry::query()->where('what', 'appointments/{appointment}')->orderBy('id')->firstOrFail()->detail));

        $this->from('/week')->delete("/patients/{$this->patient->id}/appointments/{$second->id}", ['later' => true])
            ->assertRedirect('/week')->assertSessionHas('flash', '2 appointments are taken back.');
        self::assertSame([1, 3], [Appointment::ahead()->count(), Appointment::query()->count()]);
        $this->change($third, ['day' => '2026-11-09', 'time' => '14:15'])->assertNotFound();
    }

    public function test_what_meets_is_said_and_not_forbidden(): void
    {
        $other = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id, 'name' => 'Rosa Fell']);
        $this->post("/patients/{$other->id}/appointments", ['day' => '2026-10-22', 'time' => '09:30', 'minutes' => 45]);
        $this->post('/absences', ['who' => $this->practitioner->id, 'from_day' => '2026-10-23', 'from_time' => '', 'to_day' => '2026-10-24', 'to_time' => '', 'reason' => 'training'])
            ->assertSessionHas('flash', 'Nora Ashgrove is away then.');
        $this->book(['day' => '2026-10-22', 'time' => '10:14', 'minutes' => 45])->assertSessionHas('flash', 'Appointment: Thu 22 Oct, 10:14 with Nora Ashgrove. Nora Ashgrove also sees Rosa Fell on Thu 22 Oct, 09:30.');
        $this->book(['day' => '2026-10-22', 'time' => '10:59'])->assertSessionHas('flash', 'Appointment: Thu 22 Oct, 10:59 with Nora Ashgrove.');
        $this->book(['day' => '2026-10-22', 'time' => '09:30', 'with' => $this->colleague->id])->assertSessionHas('flash', 'Appointment: Thu 22 Oct, 09:30 with Idris Penwarden.');
        $this->book(['day' => '2026-10-24', 'time' => '23:30'])->assertSessionHas('flash', 'Appointment: Sat 24 Oct, 23:30 with Nora Ashgrove. Nora Ashgrove is away until Sat 24 Oct.');
        $this->book(['day' => '2026-10-25', 'time' => '00:00'])->assertSessionHas('flash', fn (string $said) => str_contains($said, 'also sees') && ! str_contains($said, 'away'));
        $this->post('/absences', ['who' => $this->practitioner->id, 'from_day' => '2026-10-22', 'from_time' => '09:30', 'to_day' => '2026-10-22', 'to_time' => '10:00'])
            ->assertSessionHas('flash', 'Nora Ashgrove is away then. One appointment stands in that time.');
        $this->get('/week')->assertInertia(fn (AssertableInertia $page) => $page->has('appointments', 6)
            ->where('absences.0.reason', null)->where('absences.0.from', 570)->where('absences.0.to', 600)
            ->where('absences.1.day', '2026-10-23')->where('absences.1.to', 1440)->where('absences.2.day', '2026-10-24')->missing('absences.3'));
        self::assertStringNotContainsString('training', (string) DB::table('absences')->whereNotNull('reason')->value('reason'), 'why somebody is away is sealed');

        $absence = Absence::query()->firstOrFail();
        $this->delete("/absences/{$absence->id}")->assertSessionHas('flash', 'Nora Ashgrove is there again.');
        $this->delete("/absences/{$absence->id}")->assertNotFound();
        $this->actingAs(Practitioner::factory()->create(), 'practitioner')->delete('/absences/'.Absence::query()->firstOrFail()->id)->assertNotFound();
    }

    public function test_a_second_way_finds_the_same_meetings(): void
    {
        $random = new Randomizer(new Mt19937(11));
        $begin = CarbonImmutable::parse('2026-10-22 07:00');
        for ($made = 0; $made < 25; $made++) {
            Appointment::query()->create([
                'patient_id' => $this->patient->id, 'practitioner_id' => $random->getInt(0, 3) === 0 ? $this->colleague->id : $this->practitioner->id,
                'starts_at' => $begin->addMinutes($random->getInt(0, 600)), 'minutes' => $random->getInt(5, 480), 'kind' => 'review',
                'cancelled_at' => $random->getInt(0, 4) === 0 ? now() : null,
            ]);
        }
        $taken = fn (Appointment $each) => range((int) ($each->starts_at->getTimestamp() / 60), (int) ($each->starts_at->getTimestamp() / 60) + $each->minutes - 1);
        $all = Appointment::query()->whereNull('cancelled_at')->where('practitioner_id', $this->practitioner->id)->get();
        for ($try = 0; $try < 40; $try++) {
            $new = new Appointment(['starts_at' => $begin->addMinutes($random->getInt(-500, 1100)), 'minutes' => $random->getInt(5, 480)]);
            $expected = $all->filter(fn (Appointment $each) => array_intersect($taken($each), $taken($new)) !== [])->count();
            $said = WhatMeets::sentences($this->practitioner, [$new]);
            $last = (string) end($said);
            $found = str_ends_with($last, 'more meet as well.') ? 3 + (int) $last : count($said);
            self::assertSame($expected, $found);
        }
    }

    public function test_the_week_shows_its_days_and_whose_are_wanted(): void
    {
        $this->book(['day' => '2026-10-26', 'time' => '09:30', 'with' => $this->colleague->id]);
        $this->book(['day' => '2026-11-01', 'time' => '23:30', 'minutes' => 120]);
        $namesake = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id, 'name' => $this->patient->name, 'birth_date' => '1951-02-03']);
        $this->post("/patients/{$namesake->id}/appointments", ['day' => '2026-11-02', 'time' => '00:00']);
        $week = fn (string $query = '') => $this->get("/week$query")->assertOk()->viewData('page')['props'];
        self::assertSame(['2026-10-19', 43, true, []], [$week()['monday'], $week()['number'], $week()['is_now'], $week()['appointments']]);
        $next = $week('?of=2026-10-28');
        self::assertSame(['2026-10-26', '2026-10-19', '2026-11-02', false], [$next['monday'], $next['before'], $next['after'], $next['is_now']]);
        self::assertSame([['2026-10-26', 570], ['2026-11-01', 1410]], array_map(fn (array $each) => [$each['day'], $each['minute']], $next['appointments']));
        self::assertSame($this->patient->birth_date->format('j M Y'), $next['appointments'][0]['born'], 'two of one name are told apart');
        self::assertCount(1, $week("?of=2026-10-28&whose={$this->colleague->id}")['appointments']);
        foreach (['?of=soon', '?of=2026-02-31', '?of[]=x', '?whose=0', '?whose[]=1', '?whose='.Practitioner::factory()->create()->id] as $bad) {
            self::assertSame(['2026-10-19', 'everyone'], [$week($bad)['monday'], $week($bad)['whose']], $bad);
        }
        self::assertSame('0001-01-01', $week('?of=0001-01-01')['monday']);
        self::assertSame('9999-12-27', $week('?of=9999-12-31')['monday']);
    }

    public function test_a_large_clinic_begins_with_ones_own_and_queries_do_not_grow(): void
    {
        $count = function (): int {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->get('/week?of=2026-10-28&whose=everyone')->assertOk();

            return count(DB::getQueryLog());
        };
        $this->book(['day' => '2026-10-26', 'time' => '09:30']);
        $few = $count();
        foreach (range(1, 8) as $each) {
            $who = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id]);
            $this->book(['day' => '2026-10-26', 'time' => "1{$each}:30", 'with' => $who->id])->assertSessionHasNoErrors();
            Absence::query()->create(['practitioner_id' => $who->id, 'starts_at' => now()->addDays(6), 'ends_at' => now()->addDays(7)]);
        }
        self::assertSame($few, $count());
        $this->get('/week?of=2026-10-28')->assertInertia(fn (AssertableInertia $page) => $page->where('whose', (string) $this->practitioner->id)->has('appointments', 1));
    }

    public function test_patients_are_found_by_name_and_date_of_birth_only_in_this_clinic(): void
    {
        $this->patient->update(['name' => 'Zoë Marlow', 'birth_date' => '1984-03-14']);
        Patient::factory()->create(['name' => 'Zoe Elsewhere']);
        $find = fn (string $typed) => array_column((array) $this->getJson('/week/patients?find='.rawurlencode($typed))->assertOk()->json(), 'name');
        foreach (['zoe', 'marlow z', 'ZOË', '1984'] as $typed) {
            self::assertSame(['Zoë Marlow'], $find($typed), $typed);
        }
        foreach (['', ' ', 'nobody', '%'] as $typed) {
            self::assertSame([], $find($typed), $typed);
        }
        $this->getJson('/week/patients?find[]=zoe')->assertOk();
        self::assertFalse($this->getJson('/week/patients?find=zoe')->json('0.came'));
        $this->book(['day' => '2026-10-22', 'time' => '09:30']);
        self::assertTrue($this->getJson('/week/patients?find=zoe')->json('0.came'));
    }

    public function test_wrong_input_is_said_in_words_and_nothing_is_stored(): void
    {
        $good = ['day' => '2026-10-22', 'time' => '09:30'];
        $stranger = Practitioner::factory()->create();
        $gone = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'ended_at' => now()]);
        foreach ([
            [['day' => '2026-10-21', 'time' => '08:00'], 'day', 'That time is over.'],
            [['day' => '2028-01-01'], 'day', 'That is more than a year away.'],
            [['kind' => 'party'], 'kind', 'Choose one of the list.'],
            [['minutes' => 4], 'minutes', 'Write 5 to 480 minutes.'], [['minutes' => 'long'], 'minutes', 'Write 5 to 480 minutes.'],
            [['with' => $stranger->id], 'with', 'Choose somebody who works here.'], [['with' => $gone->id], 'with', 'Choose somebody who works here.'],
            [['every' => 13], 'every', 'Write a number of weeks, 1 to 12.'], [['times' => 27], 'times', 'Write how many there are, 1 to 26.'],
            [['times' => 'six'], 'times', 'Write how many there are, 1 to 26.'],
        ] as [$wrong, $field, $words]) {
            $this->book([...$good, ...$wrong])->assertSessionHasErrors([$field => $words]);
        }
        foreach ([
            [['who' => $stranger->id], 'who', 'Choose somebody who works here.'],
            [['to_day' => '2026-10-21'], 'to_day', 'The end has to come after the beginning.'],
            [['to_day' => '2029-10-21'], 'to_day', 'That is more than 400 days.'],
            [['from_day' => 'tomorrow'], 'from_day', 'This is not a date; write it like 31 Jan 2027.'],
            [['from_time' => 'noon'], 'from_time', 'Write the time like 10:30, or nothing for the whole day.'],
            [['reason' => str_repeat('a', 61)], 'reason', 'At most 60 characters.'],
        ] as [$wrong, $field, $words]) {
            $this->post('/absences', ['who' => $this->colleague->id, 'from_day' => '2026-10-22', 'to_day' => '2026-10-23', ...$wrong])->assertSessionHasErrors([$field => $words]);
        }
        $this->patient->update(['archived_at' => now()]);
        $this->book($good)->assertSessionHasErrors(['day' => 'This record is put away; bring it back first.']);
        $this->patient->update(['archived_at' => null]);
        self::assertSame([0, 0], [Appointment::query()->count(), Absence::query()->count()]);
        foreach ([26, 26] as $times) {
            $this->book([...$good, 'times' => $times])->assertSessionHasNoErrors();
        }
        $this->book([...$good, 'times' => 9])->assertSessionHasErrors(['times' => '52 appointments are ahead already; a patient has at most 60.']);
    }

    public function test_who_no_longer_works_here_has_no_appointments_ahead(): void
    {
        $this->practitioner->update(['role' => Role::Lead]);
        $this->book(['day' => '2026-10-22', 'time' => '09:30', 'with' => $this->colleague->id]);
        $theirs = Patient::factory()->create(['practitioner_id' => $this->colleague->id, 'clinic_id' => $this->practitioner->clinic_id]);
        $this->post("/patients/{$theirs->id}/appointments", ['day' => '2026-10-22', 'time' => '11:30', 'with' => $this->colleague->id]);
        $third = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id]);
        app(EndPerson::class)($this->colleague, $this->practitioner, $third->id);
        self::assertSame(
            [[$this->practitioner->id, 1], [$third->id, 1]],
            Appointment::query()->orderBy('starts_at')->get()->map(fn (Appointment $each) => [$each->practitioner_id, $each->revision])->all(),
        );
    }

    /** @param  array<string, mixed>  $at */
    private function book(array $at): TestResponse
    {
        return $this->from('/week')->post("/patients/{$this->patient->id}/appointments", $at);
    }

    /** @param  array<string, mixed>  $to */
    private function change(Appointment $appointment, array $to): TestResponse
    {
        return $this->from('/week')->put("/patients/{$this->patient->id}/appointments/{$appointment->id}", $to);
    }
}
