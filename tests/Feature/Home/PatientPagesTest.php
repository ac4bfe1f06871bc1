<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Actions\Programme\CloseProgramme;
use App\Actions\Programme\IssueVersion;
use App\Models\Appointment;
use App\Models\ChosenSymptom;
use App\Models\Device;
use App\Models\Pause;
use App\Models\ProgrammeVersion;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use IvoryPace\Programme\Outcome;
use IvoryPace\Programme\VersionOrder;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What the patient's own pages show, and what is at hand before the PIN. */
final class PatientPagesTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private ProgrammeVersion $version;

    private string $credential;

    private Device $device;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-02 07:00:00');
        $this->clinicWithPatient();
        $this->screen(['flag.copd']);
        $this->version = $this->issue();
        [$this->device, $this->credential] = $this->device();
        $this->fromDevice($this->credential);
    }

    public function test_the_clinics_telephone_and_the_next_appointment_are_at_hand(): void
    {
        self::assertSame([null, null], [$this->todayOnDevice()['telephone'], $this->todayOnDevice()['appointment']]);
        $this->practitioner->clinic->update(['telephone' => '0200 555 010', 'time_zone' => 'Europe/Berlin']);
        $this->patient->update(['time_zone' => 'Europe/Lisbon']);
        Appointment::query()->create(['patient_id' => $this->patient->id, 'practitioner_id' => $this->practitioner->id, 'starts_at' => '2026-11-24 09:30:00']);
        $this->app?->make('auth')->forgetGuards();
        $bundle = $this->todayOnDevice();
        self::assertSame('0200 555 010', $bundle['telephone']);
        // In the patient's own time.
        self::assertSame("Next appointment: Tuesday 24 November, 09:30, with {$this->practitioner->name}.", $bundle['appointment']);
        $this->getJson('/api/v1/as-needed')->assertOk()->assertJsonPath('telephone', '0200 555 010');
        $this->getJson('/api/v1/me')->assertOk()->assertJsonPath('telephone', '0200 555 010');

        $this->app?->make('auth')->forgetGuards();
        $this->practitioner->update(['role' => 'lead']);
        $settings = ['emergency_wording' => 'Call 112 and sit down at once.', 'crisis_number' => '808 200 204, the line', 'school' => 'gentle-control'];
        foreach (['call us', '12', '0200 555 010; drop', ['0200']] as $wrong) {
            $this->actingAs($this->practitioner, 'practitioner')->put('/clinic/settings', [...$settings, 'telephone' => $wrong])->assertSessionHasErrors('telephone');
        }
        $this->put('/clinic/settings', [...$settings, 'telephone' => '+44 (0)200 555-011'])->assertSessionHasNoErrors();
        self::assertSame('+44 (0)200 555-011', $this->practitioner->clinic->refresh()->telephone);
    }

    public function test_tomorrow_comes_along_with_its_own_version(): void
    {
        $this->issue(['times_a_day' => 1], basedOn: 1, reason: 'Less.');
        $bundle = [...$this->todayOnDevice()];
        self::assertSame(['2026-11-02', '2026-11-03'], array_column($bundle['days'], 'date'));
        self::assertSame([3, 1], array_map(fn (array $day) => count($day['slots']), $bundle['days']));
        self::assertNotSame($bundle['days'][0]['version_id'], $bundle['days'][1]['version_id']);
        self::assertSame([$bundle['days'][0]['to'], '2026-11-02T04:00:00Z'], [$bundle['days'][1]['from'], $bundle['days'][0]['from']]);
    }

    public function test_how_practices_ended_comes_along_since_somebody_looked_and_queries_do_not_grow(): void
    {
        $this->travelTo('2026-11-03 07:00:00');
        $this->outbox('practice', $this->practiceLog($this->version, ['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness']))->assertStored();
        self::assertSame(['made-me-stop'], $this->todayOnDevice()['items'][0]['ends']);
        $this->travelTo('2026-11-03 12:00:00');
        $this->outbox('practice', $this->practiceLog($this->version, ['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness']))->assertStored();
        self::assertSame('stop', $this->todayOnDevice()['items'][0]['paused']);
        $this->travelTo('2026-11-03 13:00:00');
        $this->actingAs($this->practitioner, 'practitioner')->post("/patients/{$this->patient->id}/pauses/".Pause::query()->sole()->id.'/end', ['line' => 'Slower from now on.']);
        $this->fromDevice($this->credential);
        self::assertSame([null, []], [$this->todayOnDevice()['items'][0]['paused'], $this->todayOnDevice()['items'][0]['ends']]);

        $count = function (): int {
            DB::flushQueryLog();
            $this->getJson('/api/v1/today')->assertOk();

            return count(DB::getQueryLog());
        };
        DB::enableQueryLog();
        $one = $count();
        $lineage = $this->version->items[0]->lineage;
        app(IssueVersion::class)($this->patient->refresh(), $this->practitioner, new VersionOrder(
            items: [['id' => $lineage, 'technique' => 'extended-exhale'], ['technique' => 'even'], ['technique' => 'square'], ['technique' => 'body-scan']], weeks: 4, reviewOn: '2026-11-20',
            startsOn: null, ratedSymptom: 'tension', reason: 'More to choose from.', basedOn: 1, findingReasons: array_fill(0, 4, array_fill_keys(['HOLD-CONTRAINDICATED'], 'Agreed.')),
        ));
        $this->travelTo('2026-11-04 07:00:00');
        $this->app?->make('auth')->forgetGuards();
        $this->fromDevice($this->credential)->todayOnDevice();
        self::assertLessThanOrEqual($one + 2, $count());
    }

    /** On the last Sunday of October the day has 25 hours. */
    public function test_a_day_on_which_the_clocks_change_ends_when_it_ends(): void
    {
        $this->patient->update(['time_zone' => 'Europe/London']);
        $this->travelTo('2026-10-24 20:00:00');
        $this->app?->make('auth')->forgetGuards();
        $days = $this->todayOnDevice()['days'];
        self::assertSame(['2026-10-24T03:00:00Z', '2026-10-25T04:00:00Z', '2026-10-26T04:00:00Z'], [$days[0]['from'], $days[1]['from'], $days[1]['to']]);
        self::assertSame('2026-10-25T04:00:00Z', $days[0]['to'], 'that night is an hour longer');
    }

    public function test_help_for_breathlessness_is_at_hand_before_the_pin_the_same_for_everyone(): void
    {
        $before = $this->getJson('/api/v1/as-needed')->assertOk()->json();
        self::assertSame(['owner', 'emergency', 'emergency_call', 'crisis', 'telephone', 'rules', 'item'], array_keys($before));
        self::assertSame([true, 'exercise.forward-lean.name', null, 'everyone'], [$before['item']['recovery'], $before['item']['name'], $before['item']['paused'], $before['item']['lineage']]);
        self::assertSame(['ask_after' => 180, 'help_after' => 600, 'look_back_after' => 120, 'trusted_offset' => 90], $before['rules']['seconds']);
        $this->travelTo('2026-11-03 07:00:00');
        $version = $this->issue(['technique' => 'forward-lean', 'as_needed' => true, 'use_when' => 'breath is short', 'daily_most' => 4, 'ratio' => '', 'position' => 'seated-forward'], basedOn: 1, reason: 'For bad moments.');
        $this->screen(['flag.copd', 'flag.pregnancy']);
        $this->travelTo('2026-11-04 07:00:00');
        $this->getJson('/api/v1/today')->assertStatus(423);
        self::assertSame($before, $this->getJson('/api/v1/as-needed')->assertOk()->json(), 'nothing of this patient shows');

        $this->outbox('practice', $this->practiceLog($version, ['anchor' => null, 'breaths_done' => 0, 'recovered_after_s' => 95]))->assertStored();
        $today = $this->todayOnDevice();
        self::assertSame([['use_when' => 'breath is short', 'most' => 4, 'way' => 'led', 'room' => 8, 'done' => 1], $version->id], [$today['items'][0]['as_needed'], $today['recovery']['version_id']]);
        $progress = $this->getJson('/api/v1/progress')->assertOk();
        self::assertSame([['name' => 'exercise.forward-lean.name', 'times' => 1, 'recovered' => [95]]], $progress->json('as_needed'));
        $course = $this->course();
        self::assertStringContainsString('breath back after 1:35 min', $course['practices'][0]['got']);
    }

    public function test_recovery_is_there_before_the_start_after_the_last_day_and_when_all_is_closed(): void
    {
        $this->travelTo('2026-11-03 07:00:00');
        self::assertNull($this->todayOnDevice()['recovery'], 'none was agreed');
        $version = $this->issue(['technique' => 'forward-lean', 'as_needed' => true, 'use_when' => 'breath is short', 'daily_most' => 4, 'ratio' => '', 'position' => 'seated-forward'], basedOn: 1, reason: 'For bad moments.');
        foreach (['2026-11-03 08:00:00' => 'running', '2026-11-04 07:00:00' => 'running', '2027-03-01 07:00:00' => 'over'] as $when => $state) {
            $this->travelTo($when);
            $today = $this->todayOnDevice();
            self::assertSame([$state, $version->id, true], [$today['state'], $today['recovery']['version_id'], $today['recovery']['item']['recovery']], $when);
        }
        app(CloseProgramme::class)($this->patient, $this->practitioner, Outcome::Better, null);
        $today = $this->todayOnDevice();
        self::assertSame(['none', $version->id], [$today['state'], $today['recovery']['version_id']]);
        $this->outbox('practice', $this->practiceLog($version, ['anchor' => null, 'breaths_done' => 0, 'recovered_after_s' => 95]))->assertStored();
        $this->screen(['red.chest-pain']);
        self::assertNull($this->todayOnDevice()['recovery']['item']['paused'], 'and never paused');
    }

    public function test_progress_counts_practice_and_says_what_changed(): void
    {
        $symptom = ChosenSymptom::query()->create(['patient_id' => $this->patient->id, 'name' => 'tension']);
        foreach ([8, 8, 7, 4, 4, 3] as $n => $rating) {
            $this->travelTo('2026-11-0'.(2 + $n).' 08:00:00');
            $this->outbox('practice', $this->practiceLog($this->version, ['before' => 6]))->assertStored();
            $this->outbox('diary', ['day' => '2026-11-0'.(2 + $n), 'written_at' => now()->format('Y-m-d\TH:i:s\Z'), 'ratings' => [$symptom->id => $rating], 'sleep' => 5])->assertStored();
        }
        $progress = $this->unlock()->getJson('/api/v1/progress')->assertOk()->json();
        self::assertSame(6, $progress['days_practised']);
        self::assertSame([
            ['name' => 'Your tension before practice', 'then' => 6, 'now' => 6, 'direction' => 0],
            ['name' => 'Tension', 'then' => 8, 'now' => 4, 'direction' => -1],
            ['name' => 'Sleep', 'then' => 5, 'now' => 5, 'direction' => 0],
        ], $progress['then_now']);
        self::assertSame('Monday 16 November', $progress['next']);
        self::assertSame(['done'], $progress['weeks'][0][0]['strokes'], 'the first day is never a miss');
        self::assertSame(['done', 'missed', 'missed'], $progress['weeks'][0][1]['strokes']);
        self::assertNull($progress['weeks'][0][6], 'days to come are empty');
    }

    public function test_the_sheet_is_there_to_read_and_as_a_pdf(): void
    {
        $sheet = $this->unlock()->getJson('/api/v1/sheet')->assertOk()->json('sheet');
        self::assertSame('Longer breath out', $sheet['items'][0]['name']);
        self::assertCount(4, $sheet['cautions']);
        self::assertSame(['position', 'hands', 'with', 'breath', 'eyes', 'right', 'felt', 'stop', 'length', 'when', 'least'], array_column($sheet['items'][0]['told'], 'part'), 'what may be felt stands beside Stop');
        self::assertArrayNotHasKey('patient', $sheet);
        self::assertStringStartsWith('%PDF', (string) $this->get('/api/v1/sheet.pdf')->assertOk()->getContent());
    }

    public function test_a_patient_signs_out_own_devices_and_no_others(): void
    {
        [$second] = $this->device();
        $devices = $this->unlock()->getJson('/api/v1/devices')->assertOk()->json('devices');
        self::assertCount(2, $devices);
        $this->deleteJson("/api/v1/devices/{$second->id}")->assertOk();
        self::assertNotNull($second->refresh()->revoked_at);

        $mine = $this->device;
        $patient = $this->patient;
        $this->clinicWithPatient();
        [$theirs] = $this->device();
        $this->patient = $patient;
        $this->deleteJson("/api/v1/devices/{$theirs->id}")->assertNotFound();
        $this->deleteJson("/api/v1/devices/{$mine->id}")->assertOk()->assertCookieExpired('ivory_pace_device');
        $this->app?->make('auth')->forgetGuards();
        $this->getJson('/api/v1/today')->assertUnauthorized();
    }
}
