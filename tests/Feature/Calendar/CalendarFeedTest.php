<?php

declare(strict_types=1);

namespace Tests\Feature\Calendar;

use App\Actions\Access\WithdrawConsent;
use App\Actions\Account\EndPerson;
use App\Actions\Calendar\BookAppointments;
use App\Actions\Calendar\MoveAppointment;
use App\Actions\Programme\PauseByPractitioner;
use App\Feeds\PatientFeed;
use App\Feeds\PractitionerFeed;
use App\Models\Absence;
use App\Models\Appointment;
use App\Models\CalendarAddress;
use App\Models\Device;
use App\Models\Practitioner;
use App\Models\Role;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Process;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Practice\DuePractices;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What calendars outside read: by two programs that are not ours, and by nobody who has no address. */
final class CalendarFeedTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private const READERS = [['node', 'tests/readers/ical.mjs'], ['/usr/bin/python3', 'tests/readers/read_calendar.py']];

    /** @return iterable<string, array{string, string, string}> when, where, and when the patient's day begins */
    public static function seasons(): iterable
    {
        yield 'clocks go back' => ['2026-10-12 10:00', 'Europe/Lisbon', '04:00'];
        yield 'clocks go forward' => ['2026-03-16 10:00', 'Europe/Berlin', '04:00'];
        yield 'a night worker, clocks go forward' => ['2026-03-16 10:00', 'Europe/Lisbon', '14:00'];
        yield 'south of the equator, where they change the other way' => ['2026-09-25 10:00', 'Australia/Sydney', '04:00'];
        yield 'where they never change' => ['2026-10-12 10:00', 'UTC', '04:00'];
    }

    #[DataProvider('seasons')]
    public function test_two_programs_read_the_same_times_that_are_due_here(string $now, string $zone, string $dayStart): void
    {
        $this->travelTo(CarbonImmutable::parse($now, 'UTC'));
        $this->clinicWithPatient();
        $this->practitioner->clinic->update(['time_zone' => 'Europe/Lisbon']);
        $this->patient->update(['time_zone' => $zone, 'day_start' => $dayStart]);
        $this->screen();
        $this->issue(['times_a_day' => 3, 'anchors' => [
            ['anchor' => 'waking', 'from' => '05:30', 'to' => '09:00', 'days' => [1, 2, 3, 4, 5]],
            ['anchor' => 'lunch', 'from' => '11:30', 'to' => '14:00', 'days' => [1, 2, 3, 4, 5, 6, 7]],
            ['anchor' => 'lights-out', 'from' => '01:15', 'to' => '02:45', 'days' => [3, 6, 7]],
        ]]);
        $at = CarbonImmutable::now()->addDays(3)->setTime(8, 30);
        app(BookAppointments::class)($this->patient, $this->practitioner, [$at, $at->addDays(14), $at->addDays(28)], AppointmentKind::Review, 45);
        $this->patient->refresh()->load('activeProgramme.versions.items');

        $programme = $this->patient->activeProgramme;
        self::assertNotNull($programme);
        $due = new DuePractices($programme->history(), $this->patient->clock());
        $expected = [];
        for ($day = $this->patient->dayOf(now()), $last = $day->plusDays(365); ! $day->isAfter($last); $day = $day->next()) {
            foreach ($due->on($day) as $slot) {
                $expected[] = CarbonImmutable::instance($slot->opensAt)->utc()->format('Y-m-d\TH:i').' Practice: '.__("anchor.{$slot->anchor->value}");
            }
        }
        self::assertCount(60, $expected);
        foreach ([0, 14, 28] as $days) {
            $expected[] = $at->addDays($days)->utc()->format('Y-m-d\TH:i')." Appointment with {$this->practitioner->name}";
        }
        sort($expected);
        $text = PatientFeed::text($this->patient, now()->toImmutable());
        foreach (self::READERS as $reader) {
            self::assertSame($expected, $this->read($reader, $text), $reader[0]);
        }
        self::assertSame(6 + 3, substr_count($text, 'BEGIN:VALARM'));
        self::assertSame($text, PatientFeed::text($this->patient->refresh(), now()->addHour()->toImmutable()), 'the same content is the same text');
    }

    public function test_a_practitioners_calendar_tells_no_more_than_initials_and_what_moves_keeps_its_name(): void
    {
        $this->quayInOctober();
        $this->patient->update(['name' => 'Élodie Anne-Marie Vane']);
        [$appointment] = app(BookAppointments::class)($this->patient, $this->practitioner, [CarbonImmutable::parse('2026-10-28 09:00')], AppointmentKind::First, 60);
        Absence::query()->create(['practitioner_id' => $this->practitioner->id, 'starts_at' => '2026-10-25 00:00', 'ends_at' => '2026-10-26 00:00', 'reason' => 'unwell']);
        $text = fn () => PractitionerFeed::text($this->practitioner->refresh(), now()->toImmutable());
        $before = $text();
        foreach (self::READERS as $reader) {
            self::assertSame(['2026-10-25T00:00 Away', '2026-10-28T09:00 É. A. M. V.'], $this->read($reader, $before), $reader[0]);
        }
        foreach (['Vane', 'unwell', 'first', 'Breath', $this->patient->id] as $told) {
            self::assertStringNotContainsString($told, $before);
        }
        $this->practitioner->clinic->update(['calendar_initials' => false]);
        self::assertStringContainsString('SUMMARY:Appointment', $text());
        self::assertStringNotContainsString('É.', $text());

        $this->travel(5)->minutes();
        app(MoveAppointment::class)($appointment, CarbonImmutable::parse('2026-10-29 10:00'), $this->practitioner, AppointmentKind::First, 60, false);
        $after = $text();
        $of = fn (string $name, string $in) => preg_match("/^{$name}:(.*appointment.*|\d+)\r$/m", $in, $found) === 1 ? $found[1] : '';
        self::assertSame([$of('UID', $before), '1'], [$of('UID', $after), preg_match('/UID:appointment.*\r\nDTSTAMP.*\r\nSEQUENCE:(\d+)/', $after, $found) === 1 ? $found[1] : '']);
        $appointment->update(['cancelled_at' => now()]);
        self::assertStringNotContainsString('appointment-', $text());
    }

    public function test_what_is_paused_is_reminded_of_by_nobody(): void
    {
        $this->quayInOctober();
        $this->screen();
        $version = $this->issue(['times_a_day' => 2]);
        $practices = fn () => substr_count(PatientFeed::text($this->patient->refresh(), now()->toImmutable()), 'UID:practice-');
        self::assertSame(2, $practices());
        $pause = app(PauseByPractitioner::class)($this->patient->refresh(), $this->practitioner, $version->items->firstOrFail()->lineage, 'Rest a little.');
        self::assertSame(0, $practices());
        $pause->update(['until_at' => now(), 'ended_by' => $this->practitioner->id]);
        $this->travel(1)->minutes();
        self::assertSame(2, $practices());
        $this->patient->update(['archived_at' => now()]);
        self::assertSame(0, $practices());
    }

    public function test_a_practitioners_address_is_shown_once_and_ends(): void
    {
        $this->quayInOctober();
        $this->actingAs($this->practitioner, 'practitioner')->post('/account/calendar')->assertRedirect('/account');
        $address = (string) $this->get('/account')->viewData('page')['props']['calendar']['address'];
        $this->get('/account')->assertInertia(fn (AssertableInertia $page) => $page->where('calendar.address', null)->where('calendar.since', '12 Oct 2026')->where('calendar.read', null));
        self::assertStringNotContainsString(basename($address, '.ics'), (string) CalendarAddress::query()->get()->toJson());
        $answer = $this->outside($address)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        self::assertStringStartsWith('BEGIN:VCALENDAR', (string) $answer->getContent());
        self::assertSame([], $answer->headers->getCookies(), 'nobody is remembered');
        $this->outside($address, ['If-None-Match' => (string) $answer->headers->get('ETag')])->assertStatus(304);
        $this->actingAs($this->practitioner, 'practitioner')->get('/account')->assertInertia(fn (AssertableInertia $page) => $page->where('calendar.read', '12 Oct 11:00'));
        $this->get('/week/calendar.ics')->assertOk();

        // Another one ends the first, ending ends it, and so does leaving the clinic.
        $this->post('/account/calendar');
        $second = (string) $this->get('/account')->viewData('page')['props']['calendar']['address'];
        self::assertSame([404, 200], [$this->outside($address)->status(), $this->outside($second)->status()]);
        $this->outside($address)->assertSee('This calendar address has ended.');
        $this->actingAs($this->practitioner, 'practitioner')->delete('/account/calendar');
        $this->outside($second)->assertNotFound();
        $third = CalendarAddress::handOut($this->practitioner);
        $lead = Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id, 'role' => Role::Lead]);
        app(EndPerson::class)($this->practitioner, $lead, $lead->id);
        $this->outside($third)->assertNotFound();
        foreach (['x', str_repeat('a', 48), str_repeat('%00', 48)] as $guess) {
            $this->outside("/calendar/$guess.ics")->assertNotFound();
        }
    }

    public function test_a_patients_address_belongs_to_the_device_and_ends_with_it(): void
    {
        $this->quayInOctober();
        $this->screen();
        $this->issue();
        [$device, $credential] = $this->device();
        $this->fromDevice($credential)->getJson('/api/v1/calendar')->assertStatus(423);
        $this->unlock();
        $this->getJson('/api/v1/calendar')->assertExactJson(['since' => null, 'read' => null]);
        $address = (string) $this->postJson('/api/v1/calendar')->assertOk()->json('address');
        $this->getJson('/api/v1/calendar')->assertExactJson(['since' => '12 October 2026', 'read' => null]);
        self::assertStringContainsString('UID:practice-', (string) $this->get('/api/v1/calendar.ics')->assertOk()->getContent());
        self::assertStringContainsString('UID:practice-', (string) $this->outside($address)->assertOk()->getContent());
        $this->fromDevice($credential)->unlock();
        $this->deleteJson('/api/v1/calendar')->assertOk();
        $this->outside($address)->assertNotFound();

        $again = CalendarAddress::handOut($device);
        $this->outside($again)->assertOk();
        app(WithdrawConsent::class)($this->patient, $this->practitioner);
        $this->outside($again)->assertNotFound();
        $other = CalendarAddress::handOut(Device::query()->create(['patient_id' => $this->patient->id, 'label' => 'Tablet', 'credential_hash' => str_repeat('b', 64), 'revoked_at' => now()]));
        $this->outside($other)->assertNotFound();
    }

    public function test_a_long_life_costs_as_many_queries_as_a_short_one(): void
    {
        $this->quayInOctober();
        $this->screen();
        $this->issue();
        $count = function (): int {
            $queries = 0;
            DB::listen(function () use (&$queries) {
                $queries++;
            });
            PatientFeed::text($this->patient->fresh() ?? $this->patient, now()->toImmutable());
            PractitionerFeed::text($this->practitioner->fresh() ?? $this->practitioner, now()->toImmutable());

            return $queries;
        };
        app(BookAppointments::class)($this->patient, $this->practitioner, [CarbonImmutable::parse('2026-10-28 09:00')], AppointmentKind::First, 60);
        $few = $count();
        for ($at = 1; $at < 40; $at++) {
            app(BookAppointments::class)($this->patient, $this->practitioner, [CarbonImmutable::parse('2026-10-28 09:00')->addDays($at)], AppointmentKind::Review, 45);
        }
        self::assertSame(40, Appointment::query()->count());
        self::assertSame($few, $count());
    }

    private function quayInOctober(): void
    {
        $this->travelTo(CarbonImmutable::parse('2026-10-12 10:00'));
        $this->clinicWithPatient();
        $this->practitioner->clinic->update(['time_zone' => 'Europe/Lisbon']);
        $this->patient->update(['time_zone' => 'Europe/Lisbon']);
    }

    /** @param  array<string, string>  $headers */
    private function outside(string $address, array $headers = []): TestResponse
    {
        $this->app?->make('auth')->forgetGuards();
        $this->flushHeaders();

        return $this->withHeaders($headers)->get((string) parse_url($address, PHP_URL_PATH));
    }

    /**
     * @param  list<string>  $reader
     * @return list<string>
     */
    private function read(array $reader, string $text): array
    {
        $run = Process::path(base_path())->input($text)->run($reader);
        self::assertTrue($run->successful(), $run->errorOutput());

        return (array) json_decode($run->output(), true, flags: JSON_THROW_ON_ERROR);
    }
}
