<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Actions\Recording\ForgetSamples;
use App\Guard\DeviceGuard;
use App\Models\Consent;
use App\Models\Device;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Practitioner;
use App\Models\ProgrammeVersion;
use App\Models\Recording;
use App\Models\RecordingPart;
use App\Signals\TracesAgreed;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\Reading\SamplesKept;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What a phone on the belly felt: it comes in parts, is read once, says one sentence, and its samples go. */
final class TraceTest extends TestCase
{
    use MadeUpPhone, RefreshDatabase, Scenario;

    private ProgrammeVersion $version;

    private Device $device;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-20 07:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->version = $this->issue();
        [$this->device, $credential] = $this->device();
        $this->fromDevice($credential);
    }

    public function test_ten_of_twelve_breaths_were_followed_and_it_says_so(): void
    {
        $log = $this->practiceLog($this->version);
        // After the fifth breath nothing moves for the length of two.
        $made = new MadeUpBreathing([4, 0, 6, 0], 10, noiseDb: 20, held: [4, 20.0]);
        $items = $this->trace($log['uuid'], $made, $this->led(12), '2026-11-20T06:50:00Z');

        self::assertSame(array_fill(0, count($items) - 1, 'stored'), $this->send(array_slice($items, 0, -1)));
        $this->recordingOnDevice($log['uuid'])->assertJson(['state' => 'waiting']);
        self::assertSame(['stored'], $this->send([$items[count($items) - 1]]));
        self::assertSame(['stored'], $this->send([['id' => 'p', 'kind' => 'practice', 'body' => $log]]));

        $recording = Recording::query()->sole();
        self::assertSame([12, 12, 10], [$recording->prescribed, $recording->seen, $recording->followed]);
        self::assertSame(Practice::query()->sole()->id, $recording->practice_id);
        self::assertEqualsWithDelta(0, $recording->lag_ms, 250);
        $this->recordingOnDevice($log['uuid'])
            ->assertJson(['state' => 'read', 'sentence' => 'You followed 10 of 12 breaths, at the right moment.']);
        self::assertCount(41, $recording->details['inked'] ?? []);
        self::assertSame(
            'You followed 10 of 12 breaths, at the right moment.', $this->getJson('/api/v1/progress')->json('measured.0.sentence'),
        );
    }

    /** A request may hold 128 MB: one that needs more is answered with an error, and the device would send it for ever. */
    public function test_most_of_an_hour_is_read_within_what_a_request_may_hold(): void
    {
        $items = $this->trace((string) Str::uuid(), new MadeUpBreathing([4, 0, 6, 0], 342), $this->led(342), '2026-11-20T06:00:00Z');
        $head = array_pop($items);
        foreach (array_chunk($items, 40) as $some) {
            $this->send($some);
        }
        unset($items);
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $this->send([$head]);

        self::assertSame(342, Recording::query()->sole()->followed);
        self::assertLessThan(80_000_000, memory_get_peak_usage() - $before);
    }

    /** Networks deliver what they like: everything twice, last first. */
    public function test_parts_come_in_any_order_and_twice_and_say_the_same(): void
    {
        $made = new MadeUpBreathing([4, 0, 6, 0], 8, noiseDb: 20);
        $said = [];
        for ($seed = 1; $seed <= 6; $seed++) {
            mt_srand($seed);
            $uuid = (string) Str::uuid();
            $items = $this->trace($uuid, $made, $this->led(8, from: 2400), '2026-11-20T06:50:00Z');
            $sent = [...$items, ...$items];
            usort($sent, fn () => mt_rand(-1, 1));
            foreach ($sent as $item) {
                $this->send([$item]);
            }
            $recording = Recording::query()->where('uuid', $uuid)->sole();
            $said[] = [$recording->followed, $recording->lag_ms, $recording->rate, $recording->details];
        }
        self::assertCount(1, array_unique(array_map(fn (array $each) => json_encode($each), $said)));
        self::assertSame(8, $said[0][0]);
        self::assertEqualsWithDelta(600, $said[0][1], 120);
    }

    public function test_without_a_yes_the_samples_are_gone_as_soon_as_they_are_read(): void
    {
        $this->send($this->trace((string) Str::uuid(), new MadeUpBreathing([4, 0, 6, 0], 8), $this->led(8), '2026-11-20T06:50:00Z'));

        $recording = Recording::query()->sole();
        self::assertSame([8, 0], [$recording->followed, DB::table('recording_parts')->count()]);
        self::assertSame([null, true], [$recording->samples_until, $recording->samples_gone_at !== null]);
    }

    public function test_with_a_yes_they_stay_for_ninety_days_and_then_only_the_numbers_do(): void
    {
        $this->agree(true)->assertJson(['kept' => true]);
        $this->send($this->trace((string) Str::uuid(), new MadeUpBreathing([4, 0, 6, 0], 8), $this->led(8), '2026-11-20T06:50:00Z'));
        $sealed = (string) DB::table('recording_parts')->orderBy('id')->value('samples');
        self::assertStringNotContainsString('x', (string) @gzinflate((string) base64_decode($sealed)));
        self::assertSame(750, count(RecordingPart::query()->orderBy('id')->first()?->values()['x'] ?? []));

        $forget = app(ForgetSamples::class);
        $this->travelTo('2027-02-18 06:49:59');
        self::assertSame(0, $forget->due(now()->toImmutable()));
        self::assertGreaterThan(0, DB::table('recording_parts')->count());
        $this->travelTo('2027-02-18 06:50:01');
        self::assertSame(1, $forget->due(now()->toImmutable()));
        self::assertSame(0, DB::table('recording_parts')->count());
        self::assertSame(8, Recording::query()->sole()->followed);
    }

    public function test_who_takes_the_yes_back_has_their_samples_removed_at_once(): void
    {
        $this->agree(true);
        $this->agree(true);
        $this->send($this->trace((string) Str::uuid(), new MadeUpBreathing([4, 0, 6, 0], 8), $this->led(8), '2026-11-20T06:50:00Z'));
        self::assertGreaterThan(0, DB::table('recording_parts')->count());
        $this->agree(false)->assertJson(['kept' => false]);

        self::assertSame(0, DB::table('recording_parts')->count());
        self::assertSame(['accepted', 'withdrawn'], Consent::query()->where('about', 'traces')->orderBy('id')->pluck('kind')->all());
        // To practise is agreed to all the same.
        $this->getJson('/api/v1/me')->assertJson(['state' => 'ready']);
    }

    public function test_when_consent_to_everything_is_taken_back_the_samples_go_too(): void
    {
        $this->agree(true);
        $items = $this->trace((string) Str::uuid(), new MadeUpBreathing([4, 0, 6, 0], 8), $this->led(8), '2026-11-20T06:50:00Z');
        $this->send(array_slice($items, 0, 2));
        $this->actingAs(Practitioner::query()->sole(), 'practitioner')->post("/patients/{$this->patient->id}/consent/withdrawal");

        self::assertSame(0, DB::table('recording_parts')->count());
    }

    public function test_what_never_becomes_whole_is_gone_after_two_days(): void
    {
        $items = $this->trace((string) Str::uuid(), new MadeUpBreathing([4, 0, 6, 0], 8), $this->led(8), '2026-11-20T06:50:00Z');
        $this->send(array_slice($items, 1));
        $this->travel(49)->hours();
        app(ForgetSamples::class)->due(now()->toImmutable());

        self::assertSame([0, null], [DB::table('recording_parts')->count(), Recording::query()->sole()->read_at]);
    }

    public function test_it_is_asked_beside_consent_and_is_no_condition_of_it(): void
    {
        foreach ([null, false, true] as $said) {
            $other = Patient::factory()->create([
                'practitioner_id' => $this->patient->practitioner_id, 'clinic_id' => $this->patient->clinic_id,
            ]);
            $credential = DeviceGuard::newCredential();
            Device::query()->create([
                'patient_id' => $other->id, 'credential_hash' => DeviceGuard::hash($credential), 'label' => 'Phone', 'wrong_pins' => 0,
            ]);
            $this->app?->make('auth')->forgetGuards();
            $this->fromDevice($credential);
            self::assertStringContainsString('for 90 days', (string) $this->getJson('/api/v1/me')->json('consent.traces'));
            $version = $this->getJson('/api/v1/me')->json('consent.version');
            $this->postJson('/api/v1/consent', ['version' => $version, ...($said === null ? [] : ['traces' => $said])])->assertJson(['state' => 'pin']);
            self::assertSame($said === true ? true : null, TracesAgreed::by($other));
        }
        $this->postJson('/api/v1/consent', ['version' => $version, 'traces' => 'perhaps'])->assertUnprocessable();
    }

    public function test_what_the_wrong_hands_held_is_gone_and_counts_nowhere(): void
    {
        $this->agree(true);
        $uuid = (string) Str::uuid();
        $this->send($this->trace($uuid, new MadeUpBreathing([4, 0, 6, 0], 8), $this->led(8), '2026-11-20T06:50:00Z'));
        self::assertCount(1, $this->getJson('/api/v1/progress')->json('measured'));
        $this->actingAs(Practitioner::query()->sole(), 'practitioner')
            ->post("/patients/{$this->patient->id}/devices/{$this->device->id}/wrong", ['reason' => 'The link went to a namesake.']);

        self::assertSame(0, DB::table('recording_parts')->count());
        self::assertNotNull(Recording::query()->sole()->set_aside_at);
        $this->app?->make('auth')->forgetGuards();
        [, $credential] = $this->device();
        $this->fromDevice($credential)->unlock();
        self::assertSame([], $this->getJson('/api/v1/progress')->json('measured'));
    }

    public function test_the_course_says_how_far_it_was_followed_and_the_access_page_what_was_agreed(): void
    {
        $this->agree(true);
        $log = $this->practiceLog($this->version);
        $made = new MadeUpBreathing([4, 0, 6, 0], 10, noiseDb: 20, held: [4, 20.0]);
        $this->send([
            ...$this->trace($log['uuid'], $made, $this->led(12, from: 2500), '2026-11-20T06:50:00Z'),
            ['id' => 'p', 'kind' => 'practice', 'body' => $log],
        ]);
        $course = $this->course();
        self::assertSame([['2026-11-20', 0.83, 1]], array_map(
            fn (array $felt) => [$felt['day'], $felt['share'], $felt['practices']], json_decode((string) json_encode($course['programme']), true)['felt'],
        ));
        self::assertEqualsWithDelta(0.5, json_decode((string) json_encode($course['programme']), true)['felt'][0]['lag'], 0.2);
        self::assertMatchesRegularExpression('/, followed 10 of 12 0\.[3-6] s late, by the phone/', $course['practices'][0]['got']);
        $consents = $this->props($this->get("/patients/{$this->patient->id}/access"))['consents'];
        self::assertSame(['traces of recordings', 'practice'], array_column($consents, 'about'));
    }

    public function test_somebody_elses_trace_is_neither_added_to_nor_seen(): void
    {
        $uuid = (string) Str::uuid();
        $items = $this->trace($uuid, new MadeUpBreathing([4, 0, 6, 0], 8), $this->led(8), '2026-11-20T06:50:00Z');
        $this->send($items);
        $other = $this->patient->replicate(['next_appointment'])->fill(['name' => 'Somebody Else']);
        $other->save();
        [, $credential] = $this->device($other);
        $this->fromDevice($credential)->unlock();

        self::assertSame(['refused'], $this->send([$items[0]]));
        $this->recordingOnDevice($uuid, false)->assertJson(['state' => 'waiting', 'sentence' => null]);
    }

    public function test_a_phone_that_lay_on_the_table_says_that_it_could_not_feel_anything(): void
    {
        $uuid = (string) Str::uuid();
        $still = ['uuid' => $uuid, 'number' => 1, 'from_ms' => 0, 'step_ms' => 40, 'x' => [100, ...array_fill(0, 749, 0)]];
        $this->send([
            ['id' => 'a', 'kind' => 'trace-part', 'body' => [...$still, 'y' => $still['x'], 'z' => $still['x']]],
            ['id' => 'b', 'kind' => 'trace', 'body' => [
                'uuid' => $uuid, 'started_at' => '2026-11-20T06:50:00Z', 'parts' => 1, 'inhale_ms' => 3000, 'played' => $this->led(2),
            ]],
        ]);

        $this->recordingOnDevice($uuid)->assertJson(['state' => 'read']);
        self::assertStringStartsWith('The phone could not feel', $this->recordingOnDevice($uuid, false)->json('sentence'));
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function broken(): iterable
    {
        yield 'infinitely hard' => ['trace-part', ['x' => [1e308, 1, 1]]];
        yield 'harder than any throw' => ['trace-part', ['x' => [200_001, 0, 0]]];
        yield 'harder step by step' => ['trace-part', ['x' => [100_000, 100_000, 100_000]]];
        yield 'parts of a number' => ['trace-part', ['x' => [0.5, 1, 1]]];
        yield 'words' => ['trace-part', ['x' => ['NaN', 1, 1]]];
        yield 'lists in lists' => ['trace-part', ['x' => [[1], 1, 1]]];
        yield 'axes of other lengths' => ['trace-part', ['x' => [1, 1]]];
        yield 'gaps at other places' => ['trace-part', ['x' => [1, null, 1]]];
        yield 'too many' => ['trace-part', array_fill_keys(['x', 'y', 'z'], array_fill(0, 801, 0))];
        yield 'no number' => ['trace-part', ['number' => 0]];
        yield 'after the end of an hour' => ['trace-part', ['from_ms' => 3_600_001]];
        yield 'before it began' => ['trace-part', ['from_ms' => -40]];
        yield 'no parts' => ['trace', ['parts' => 0]];
        yield 'a day of parts' => ['trace', ['parts' => 2880]];
        yield 'breaths in each other' => ['trace', ['played' => [[0, 4000, 6000, 10_000], [5000, 4000, 6000, 10_000]]]];
        yield 'breaths that are none' => ['trace', ['played' => [[0, 'four', 6000, 10_000]]]];
        yield 'from the future' => ['trace', ['started_at' => '2026-11-21T06:50:00Z']];
        yield 'from long ago' => ['trace', ['started_at' => '2025-11-21T06:50:00Z']];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('broken')]
    public function test_what_cannot_be_a_trace_is_refused_in_words_and_leaves_nothing(string $kind, array $with): void
    {
        $body = $kind === 'trace' ? ['started_at' => '2026-11-20T06:50:00Z', 'parts' => 1, 'inhale_ms' => 0, 'played' => []]
            : ['number' => 1, 'from_ms' => 0, 'step_ms' => 40, 'x' => [1, 1, 1], 'y' => [1, 1, 1], 'z' => [1, 1, 1]];
        $answer = $this->postJson('/api/v1/outbox', ['sent_at' => now()->toIso8601ZuluString(), 'items' => [
            ['id' => 'a', 'kind' => $kind, 'body' => ['uuid' => (string) Str::uuid(), ...$body, ...$with]],
        ]])->assertOk();

        self::assertSame('refused', $answer->json('answers.0.result'));
        self::assertMatchesRegularExpression('/^[A-Z].{15,}\.$/', (string) $answer->json('answers.0.message'));
        self::assertSame([0, 0], [Recording::query()->count(), DB::table('recording_parts')->count()]);
    }

    public function test_no_more_than_sixty_traces_come_in_a_day(): void
    {
        for ($n = 0; $n < SamplesKept::MOST_A_DAY; $n++) {
            Recording::query()->create([
                'patient_id' => $this->patient->id, 'uuid' => (string) Str::uuid(), 'kind' => 'practice', 'source' => 'phone',
                'started_at' => now(), 'created_at' => now(),
            ]);
        }
        $items = $this->trace((string) Str::uuid(), new MadeUpBreathing([4, 0, 6, 0], 3), $this->led(3), '2026-11-20T06:50:00Z');

        self::assertSame(['refused'], $this->send([$items[0]]));
    }

    /** @return TestResponse<covariant \Symfony\Component\HttpFoundation\Response> */
    private function agree(bool $kept): TestResponse
    {
        $this->unlock();

        return $this->putJson('/api/v1/traces', ['kept' => $kept, 'version' => '2026-12'])->assertOk();
    }

    /** @return TestResponse<covariant \Symfony\Component\HttpFoundation\Response> */
    private function recordingOnDevice(string $uuid, bool $unlock = true): TestResponse
    {
        if ($unlock) {
            $this->unlock();
        }

        return $this->getJson("/api/v1/recordings/$uuid")->assertOk();
    }

    /**
     * @param  list<array{id: string, kind: string, body: array<string, mixed>}>  $items
     * @return list<string> what became of each
     */
    private function send(array $items): array
    {
        $answer = $this->postJson('/api/v1/outbox', ['sent_at' => now()->toIso8601ZuluString(), 'items' => $items])->assertOk();

        return array_column((array) $answer->json('answers'), 'result');
    }
}
