<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use IvoryPace\Practice\Doubt;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\OutboxAnswer;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class PracticeTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private ProgrammeVersion $version;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-20 07:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->version = $this->issue();
        [, $credential] = $this->device();
        $this->fromDevice($credential);
    }

    public function test_a_practice_is_stored_with_what_was_prescribed(): void
    {
        $this->send()->assertStored();
        $practice = Practice::query()->sole();

        self::assertSame([12, 12, 120, 120], [$practice->breaths_done, $practice->breaths_prescribed, $practice->seconds_done, $practice->seconds_prescribed]);
        self::assertSame('Easier today.', $practice->remark);
        self::assertStringNotContainsString('Easier', (string) DB::table('practices')->value('remark'), 'stored encrypted');
    }

    public function test_lengths_of_open_exhales_are_kept_and_the_longest_is_shown(): void
    {
        $this->send(['open_ms' => [6200, 9500]])->assertStored();
        self::assertSame([6200, 9500], Practice::query()->sole()->open_ms);
        self::assertSame('12 of 12 breaths, longest 9.5 s', $this->course()['practices'][0]['got']);
        $this->app?->make('auth')->forgetGuards();
        $this->send(['open_ms' => [-1]])->assertRefused('open_ms.0');
    }

    public function test_sent_twice_it_is_stored_once(): void
    {
        $log = $this->practiceLog($this->version);
        $this->outbox('practice', $log)->assertStored();
        $this->outbox('practice', $log)->assertIs('again');
        self::assertSame(1, Practice::query()->count());
    }

    public function test_it_arrives_days_later_when_every_session_has_expired(): void
    {
        $log = $this->practiceLog($this->version);
        $this->travel(9)->days();
        $this->flushSession();
        $this->outbox('practice', ['sent_at' => now()->format('Y-m-d\TH:i:s.v\Z')] + $log)->assertStored();

        self::assertSame('2026-11-20', Practice::query()->sole()->started_at->format('Y-m-d'));
    }

    public function test_a_device_whose_clock_is_two_hours_wrong_is_corrected(): void
    {
        $ahead = CarbonImmutable::now()->addHours(2)->utc();
        $this->send([
            'started_at' => $ahead->subSeconds(125)->format('Y-m-d\TH:i:s.v\Z'), 'ended_at' => $ahead->format('Y-m-d\TH:i:s.v\Z'), 'sent_at' => $ahead->format('Y-m-d\TH:i:s.v\Z'),
        ])->assertStored();
        $practice = Practice::query()->sole();

        self::assertEqualsWithDelta(now()->timestamp, $practice->ended_at->timestamp, 2);
        self::assertSame(-7200, $practice->getAttribute('clock_offset_s'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function bad(): iterable
    {
        yield 'ends before it starts' => [['ended_at' => '2026-11-20T06:00:00Z'], 'ended_at'];
        yield 'ends in the future' => [['ended_at' => '2026-11-20T09:00:00Z'], 'ended_at'];
        yield 'from last year' => [['started_at' => '2025-11-20T06:00:00Z', 'ended_at' => '2025-11-20T06:05:00Z'], 'started_at'];
        yield 'ten hours long' => [['started_at' => '2026-11-19T21:00:00Z'], 'ended_at'];
        yield 'more seconds than passed' => [['started_at' => '2026-11-20T06:59:50Z'], 'seconds_done'];
        yield 'more breaths than prescribed' => [['breaths_done' => 13], 'breaths_done'];
        yield 'rated eleven' => [['before' => 11], 'before'];
        yield 'rated minus one' => [['effort' => -1], 'effort'];
        yield 'no id' => [['uuid' => 'x'], 'uuid'];
        yield 'no such version' => [['version_id' => 999_999], 'version_id'];
        yield 'no such exercise' => [['lineage' => '01ARZ3NDEKTSV4RRFFQ69G5FAV'], 'version_id'];
        yield 'no time' => [['started_at' => 'yesterday'], 'started_at'];
        yield 'a symptom without a stop' => [['stop_symptom' => 'dizziness'], 'stop_symptom'];
        yield 'a symptom of the wrong kind' => [['stop_class' => 'made-me-stop', 'stop_symptom' => 'chest-pain'], 'stop_symptom'];
        yield 'a kind without a symptom' => [['stop_class' => 'get-help'], 'stop_symptom'];
        yield 'a long remark' => [['remark' => str_repeat('x', 1001)], 'remark'];
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('bad')]
    public function test_an_impossible_log_is_refused_with_a_reason(array $wrong, string $field): void
    {
        $this->send($wrong)->assertRefused($field);
        self::assertSame(0, Practice::query()->count() + Pause::query()->count());
    }

    public function test_what_cannot_have_been_is_kept_and_not_counted(): void
    {
        $this->send(['started_at' => '2026-11-20T06:50:00Z', 'ended_at' => '2026-11-20T06:50:00Z', 'breaths_done' => 6, 'seconds_done' => 0])->assertStored();
        $this->send(['started_at' => '2026-10-11T06:50:00Z', 'ended_at' => '2026-10-11T06:52:00Z'])->assertStored();
        $this->send(['started_at' => '2026-11-20T04:30:00Z', 'ended_at' => '2026-11-20T06:59:00Z'])->assertStored();
        self::assertSame(
            [Doubt::TooFast, Doubt::BeforeProgramme, Doubt::TooLong], Practice::query()->orderBy('id')->get()->map(fn (Practice $practice) => $practice->doubt)->all(),
        );
        $today = $this->unlock()->getJson('/api/v1/today')->assertOk();
        self::assertSame([null], collect($today->json('days.0.slots'))->pluck('done')->unique()->all());
        $this->getJson('/api/v1/progress')->assertOk()->assertJsonPath('days_practised', 0);
        $course = $this->course();
        self::assertStringContainsString('not counted: faster than anyone can have breathed', (string) json_encode($course['practices']));
        self::assertStringContainsString('not counted: far longer than it can have taken', (string) json_encode($course['practices']));

        // A stop is believed, whatever else is said of the practice.
        $this->app?->make('auth')->forgetGuards();
        $this->send(['started_at' => '2026-11-20T06:50:00Z', 'ended_at' => '2026-11-20T06:50:00Z', 'breaths_done' => 6, 'seconds_done' => 0,
            'stop_class' => 'get-help', 'stop_symptom' => 'chest-pain'])->assertStored();
        self::assertGreaterThan(0, Pause::query()->whereNull('until_at')->count());
    }

    public function test_a_log_for_someone_elses_programme_is_refused(): void
    {
        $other = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        $this->screen(patient: $other);
        $theirs = $this->issue(patient: $other);

        $this->outbox('practice', $this->practiceLog($theirs))->assertRefused('version_id');

        [, $credential] = $this->device($other);
        $this->app?->make('auth')->forgetGuards();
        $log = $this->practiceLog($theirs);
        $this->fromDevice($credential)->outbox('practice', $log)->assertStored();
        [, $mine] = $this->device();
        $this->app?->make('auth')->forgetGuards();
        $this->fromDevice($mine)->outbox('practice', $log)->assertRefused('uuid');
    }

    public function test_a_log_of_the_replaced_version_is_credited_by_lineage(): void
    {
        $this->travelTo('2026-11-21 07:00:00');
        $this->issue(['ratio' => '4:0:6:1'], basedOn: 1, reason: 'Next rung.');
        $this->travelTo('2026-11-22 12:00:00');
        $this->send(['started_at' => '2026-11-22T08:00:00Z', 'ended_at' => '2026-11-22T08:02:10Z'])->assertStored();

        $versions = $this->course()['programme']['versions'];
        self::assertSame([1.0, 1], [$versions[1]['adherence']['credit'], $versions[1]['adherence']['due']]);
    }

    public function test_a_get_help_symptom_pauses_everything_until_looked_at(): void
    {
        $this->send(['stop_class' => 'get-help', 'stop_symptom' => 'chest-pain', 'breaths_done' => 3, 'seconds_done' => 30])->assertStored();
        $pause = Pause::query()->sole();
        self::assertSame([null, 'PAUSE-GET-HELP'], [$pause->lineage, $pause->rule]);
        self::assertSame('stop', $this->todayOnDevice()['items'][0]['paused']);
        self::assertSame('get-help', $this->caseload()[0]['reason']);

        $url = "/patients/{$this->patient->id}/pauses/{$pause->id}/end";
        $this->actingAs($this->practitioner, 'practitioner');
        $this->post($url, ['line' => ''])->assertSessionHasErrors('line');
        $this->post($url, ['line' => 'Rang her: seen in A&E, heart clear.'])->assertRedirect();
        self::assertNotNull($pause->refresh()->until_at);
        self::assertNull($this->todayOnDevice()['items'][0]['paused']);
    }

    public function test_a_pace_within_the_limits_is_kept_and_one_outside_is_refused(): void
    {
        $this->issue(['slowest' => '1.2', 'fastest' => '0.9'], basedOn: 1, reason: 'The patient may choose.');
        $this->travel(1)->days();
        $version = ProgrammeVersion::query()->with('items')->where('number', 2)->sole();
        $this->send($this->practiceLog($version, ['tempo' => 1.15]))->assertStored();
        self::assertSame(1.15, Practice::query()->sole()->tempo);
        foreach ([1.25, 0.85] as $tempo) {
            $this->send($this->practiceLog($version, ['tempo' => $tempo]))->assertRefused(['tempo' => 'The pace is outside what was prescribed.']);
        }
        $this->send($this->practiceLog($version, ['tempo' => 'fast']))->assertRefused('tempo');
    }

    public function test_a_stop_in_two_of_three_pauses_the_exercise_and_counts_anew_after_a_look(): void
    {
        $stop = ['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness', 'breaths_done' => 4, 'seconds_done' => 40];
        $this->send($stop)->assertStored();
        self::assertSame(0, Pause::query()->count());
        $this->travel(5)->hours();
        $this->send()->assertStored();
        $this->travel(5)->hours();
        $this->send($stop)->assertStored();
        $pause = Pause::query()->sole();
        self::assertSame([$this->version->items->first()?->lineage, 'PAUSE-TWICE-IN-THREE'], [$pause->lineage, $pause->rule]);
        self::assertSame('paused', $this->caseload()[0]['reason']);

        $this->travel(1)->hours();
        app(\App\Actions\Programme\EndPause::class)($this->patient, $pause, $this->practitioner, 'Counts were too long.');
        $this->travel(1)->hours();
        $this->send($stop)->assertStored();
        self::assertSame(0, Pause::query()->whereNull('until_at')->count(), 'the stops before the look no longer count');
    }

    public function test_a_practice_stopped_for_a_symptom_counts_in_full(): void
    {
        $this->travelTo('2026-11-22 12:00:00');
        $log = ['started_at' => '2026-11-22T08:00:00Z', 'ended_at' => '2026-11-22T08:01:00Z', 'breaths_done' => 3, 'seconds_done' => 30];
        $this->send(['stop_class' => 'made-me-stop', 'stop_symptom' => 'cramp'] + $log);
        $day = $this->course()['programme']['exercises'][0]['days'][2];

        self::assertSame('s', $day['strokes'][0]);
        self::assertSame(1.0, $this->course()['programme']['versions'][0]['adherence']['credit']);
        $this->send(['stop_class' => 'made-me-stop', 'stop_symptom' => 'dizziness'])->assertStored();
        self::assertCount(2, $this->course()['stops']);
    }

    public function test_today_shows_what_is_due_by_anchor_and_everything_the_player_needs(): void
    {
        $today = $this->todayOnDevice();
        self::assertSame(['waking', 'lunch', 'lights-out'], array_column($today['slots'], 'anchor'));
        self::assertSame([null, null, null], array_column($today['slots'], 'done'));
        self::assertSame(['lead-in', 'exercise', 'settle'], array_column($today['items'][0]['timeline']['segments'], 'role'));
        $this->send();
        self::assertSame('done', $this->todayOnDevice()['slots'][0]['done']['stroke']);
    }

    public function test_today_keeps_the_old_dose_on_the_day_of_change(): void
    {
        $this->issue(['times_a_day' => 1], basedOn: 1, reason: 'Less.');
        self::assertCount(3, $this->todayOnDevice()['slots']);
        $this->travelTo('2026-11-21 07:00:00');
        self::assertCount(1, $this->todayOnDevice()['slots']);
    }

    public function test_today_before_the_start_after_the_end_and_without_a_programme(): void
    {
        $this->travelTo('2027-03-01 10:00:00');
        self::assertSame('over', $this->todayOnDevice()['state']);

        $other = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        [, $credential] = $this->device($other);
        $this->app?->make('auth')->forgetGuards();
        $this->fromDevice($credential);
        self::assertSame('none', $this->todayOnDevice()['state']);
    }

    private function send(array $with = []): OutboxAnswer
    {
        return $this->outbox('practice', $this->practiceLog($this->version, $with));
    }

    /** @return list<array<string, mixed>> */
    private function caseload(): array
    {
        return $this->props($this->actingAs($this->practitioner, 'practitioner')->get('/'))['lines'];
    }
}
