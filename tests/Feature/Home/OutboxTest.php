<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Models\Device;
use App\Models\HomeCheck;
use App\Models\KeptAside;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\ProgrammeVersion;
use App\Models\PutOffPractice;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Feature\Scenario;
use Tests\TestCase;

/** What has waited on a device: several things at once, an answer for each, and after the device was signed out. */
final class OutboxTest extends TestCase
{
    use RefreshDatabase, Scenario;

    private ProgrammeVersion $version;

    private Device $device;

    private string $credential;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-11-20 07:00:00');
        $this->clinicWithPatient();
        $this->screen();
        $this->version = $this->issue();
        [$this->device, $this->credential] = $this->device();
        $this->fromDevice($this->credential);
    }

    public function test_each_has_an_answer_of_its_own_and_a_bad_one_holds_up_nothing(): void
    {
        $good = $this->practiceLog($this->version);
        $answers = $this->batch([
            ['id' => 'a', 'kind' => 'practice', 'body' => $good],
            ['id' => 'b', 'kind' => 'practice', 'body' => $this->practiceLog($this->version, ['effort' => 11])],
            ['id' => 'c', 'kind' => 'diary', 'body' => ['day' => '2026-11-20', 'written_at' => '2026-11-20T06:00:00Z', 'sleep' => 4]],
            ['id' => 'd', 'kind' => 'practice', 'body' => $good],
        ])->assertOk()->json('answers');

        self::assertSame([['a', 'stored'], ['b', 'refused'], ['c', 'stored'], ['d', 'again']], array_map(fn (array $answer) => [$answer['id'], $answer['result']], $answers));
        self::assertSame('A rating is a number from 0 to 10.', $answers[1]['message']);
        self::assertSame([1, 1], [Practice::query()->count(), DB::table('diary_entries')->count()]);
    }

    public function test_what_is_no_batch_is_refused_as_a_whole(): void
    {
        $this->batch([])->assertJsonValidationErrors('items');
        $this->batch(array_fill(0, 51, ['id' => 'a', 'kind' => 'diary', 'body' => []]))->assertJsonValidationErrors('items');
        $this->batch([['id' => 'a', 'kind' => 'letter', 'body' => []]])->assertJsonValidationErrors('items.0.kind');
        $this->batch([['id' => 'a', 'kind' => 'diary', 'body' => 'x']])->assertJsonValidationErrors('items.0.body');
        $this->postJson('/api/v1/outbox', ['sent_at' => 'now', 'items' => [['id' => 'a', 'kind' => 'diary', 'body' => []]]])->assertJsonValidationErrors('sent_at');
    }

    /** Ten thousand waiting practices arrive in two hundred batches; the same number of queries goes to each. */
    public function test_a_full_batch_is_stored_with_a_bounded_number_of_queries_each(): void
    {
        $batch = fn (int $size) => array_map(fn (int $n) => ['id' => "p$n", 'kind' => 'practice', 'body' => $this->practiceLog($this->version)], range(1, $size));
        $count = function (array $items): int {
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->batch($items)->assertOk();

            return count(DB::getQueryLog());
        };
        $one = $count($batch(1));
        $fifty = $count($batch(50));
        self::assertSame(51, Practice::query()->count());
        self::assertLessThanOrEqual(50 * $one, $fifty);
    }

    public function test_a_device_whose_clock_is_two_hours_off_is_set_right(): void
    {
        $this->outbox('practice', $this->practiceLog($this->version, ['started_at' => '2026-11-20T08:57:00Z', 'ended_at' => '2026-11-20T09:00:00Z', 'sent_at' => '2026-11-20T09:00:00Z']))->assertStored();
        self::assertSame('2026-11-20 06:57:00', Practice::query()->sole()->started_at->format('Y-m-d H:i:s'));
        $this->outbox('home-check', ['uuid' => (string) Str::uuid(), 'taken_at' => '2026-11-20T09:00:00Z', 'taps' => [0, 4000, 8000, 12000], 'sent_at' => '2026-11-20T09:00:00Z'])->assertStored();
        self::assertSame('2026-11-20 07:00:00', HomeCheck::query()->sole()->taken_at->format('Y-m-d H:i:s'));
    }

    public function test_the_short_version_counts_in_full_once_it_is_done(): void
    {
        $short = $this->version->items->first()?->item()->shortVersion();
        self::assertNotNull($short);
        $this->outbox('practice', $this->practiceLog($this->version, ['short' => true, 'breaths_done' => $short->totalBreaths(), 'seconds_done' => 20]))->assertStored();
        $practice = Practice::query()->sole();
        self::assertTrue($practice->is_short);
        self::assertSame(1.0, $practice->record()->completeness);
        $this->outbox('practice', $this->practiceLog($this->version, ['short' => true, 'breaths_done' => $short->totalBreaths() + 1]))->assertRefused('breaths_done');
        self::assertSame($short->totalBreaths(), $this->todayOnDevice()['items'][0]['short']['breaths']);
    }

    public function test_not_today_is_kept_with_its_reason_and_neither_credited_nor_a_miss(): void
    {
        $this->travelTo('2026-11-21 07:00:00');
        $say = fn (array $with = []) => $this->outbox('put-off', [
            'day' => '2026-11-21', 'lineage' => $this->version->items[0]->lineage, 'anchor' => 'waking', 'reason' => 'tired', 'said_at' => '2026-11-21T07:00:00Z', ...$with,
        ]);
        $say()->assertStored();
        $say(['reason' => 'ill'])->assertIs('again');
        self::assertSame('ill', PutOffPractice::query()->sole()->reason->value);
        self::assertSame(['ill', null, null], array_column($this->todayOnDevice()['slots'], 'put_off'));
        $say(['anchor' => 'way-home'])->assertRefused(['day' => 'That practice was not planned for that day.']);
        $say(['day' => '2026-11-25'])->assertRefused('day');
        $say(['day' => '2026-02-31'])->assertRefused('day');
        $say(['reason' => 'lazy'])->assertRefused('reason');

        $this->travelTo('2026-11-22 12:00:00');
        $course = $this->course();
        self::assertSame('nmm', $course['programme']['exercises'][0]['days'][1]['strokes']);
        self::assertSame('ill', $course['put_offs'][0]['reason']);
    }

    public function test_nobody_says_anything_later_than_it_arrives(): void
    {
        $body = ['day' => '2026-11-20', 'lineage' => $this->version->items->sole()->lineage, 'anchor' => 'evening', 'reason' => 'busy'];
        $anchor = PutOffPractice::query()->count();
        $this->outbox('put-off', [...$body, 'anchor' => 'waking', 'said_at' => '2199-01-01T00:00:00Z']);
        $this->outbox('put-off', [...$body, 'said_at' => '2199-01-01T00:00:00Z']);
        self::assertSame(0, PutOffPractice::query()->where('said_at', '>', now()->addMinute())->count());
        self::assertGreaterThan($anchor, PutOffPractice::query()->count());
    }

    public function test_the_weekly_check_is_asked_for_and_stands_apart_from_what_is_measured(): void
    {
        self::assertTrue($this->todayOnDevice()['check_due']);
        $check = ['uuid' => (string) Str::uuid(), 'taken_at' => '2026-11-20T06:59:00Z', 'taps' => [0, 4000, 8100, 12000, 16050]];
        $this->outbox('check', $check)->assertStored();
        $this->outbox('check', $check)->assertIs('again');
        self::assertEqualsWithDelta(60 * 4 / 16.05, HomeCheck::query()->sole()->rate, 0.01);
        self::assertFalse($this->todayOnDevice()['check_due']);
        $this->travelTo('2026-11-27 07:00:00');
        self::assertTrue($this->todayOnDevice()['check_due']);
        $this->outbox('home-check', ['uuid' => (string) Str::uuid(), 'taken_at' => '2026-11-27T06:59:00Z', 'taps' => [0, 4000]])->assertRefused(['taps' => 'Too few taps to tell a rate. Try the minute once more.']);
        self::assertSame(0, DB::table('measurements')->count());
        self::assertEquals(15.0, $this->course()['home_checks'][0]['rate']);
    }

    public function test_a_signed_out_device_is_heard_but_kept_aside_until_a_practitioner_accepts(): void
    {
        $this->device->update(['revoked_at' => now()]);
        $log = $this->practiceLog($this->version, ['stop_class' => 'get-help', 'stop_symptom' => 'chest-pain']);
        $items = [['id' => 'a', 'kind' => 'practice', 'body' => $log], ['id' => 'b', 'kind' => 'diary', 'body' => ['day' => '2026-11-20', 'written_at' => '2026-11-20T06:00:00Z', 'sleep' => 4]]];
        self::assertSame(['kept-aside', 'kept-aside'], array_column($this->batch($items)->json('answers'), 'result'));
        self::assertSame(['kept-aside', 'kept-aside'], array_column($this->batch($items)->json('answers'), 'result'), 'sent twice, kept once');
        self::assertSame([2, 0], [KeptAside::query()->count(), Practice::query()->count()]);
        self::assertStringNotContainsString('chest-pain', (string) DB::table('kept_asides')->value('body'), 'stored encrypted');

        $this->actingAs($this->practitioner, 'practitioner');
        self::assertSame(['get-help', 'says a practice from a signed-out device; accept or refuse it on the Access page.'], array_values(array_intersect_key(
            $this->props($this->get('/'))['lines'][0], ['reason' => 0, 'sentence' => 0],
        )));
        $shown = $this->get("/patients/{$this->patient->id}/access")->viewData('page')['props']['kept_aside'];
        self::assertSame('Practice of 20 Nov 2026, 12 breaths, 120 s, stopped: chest pain', $shown[0]['what']);

        $url = fn (string $item) => "/patients/{$this->patient->id}/kept-aside/".KeptAside::query()->where('item', $item)->sole()->id;
        $this->post($url('a'), ['accept' => true])->assertRedirect();
        $this->post($url('a'), ['accept' => true])->assertRedirect();
        self::assertSame([1, 1], [Practice::query()->count(), Pause::query()->where('rule', 'PAUSE-GET-HELP')->count()], 'the rules act on it as if it had come in time');
        $this->post($url('b'), ['accept' => false])->assertRedirect();
        self::assertSame(0, DB::table('diary_entries')->count());
        self::assertSame([], $this->get("/patients/{$this->patient->id}/access")->viewData('page')['props']['kept_aside']);
    }

    public function test_what_is_kept_aside_is_bounded_and_may_be_impossible(): void
    {
        $this->device->update(['revoked_at' => now()]);
        self::assertSame('refused', $this->batch([['id' => 'big', 'kind' => 'diary', 'body' => ['text' => str_repeat('x', 20_000)]]])->json('answers.0.result'));
        $this->batch([['id' => 'odd', 'kind' => 'practice', 'body' => ['started_at' => ['x'], 'breaths_done' => 'many']]]);
        $this->actingAs($this->practitioner, 'practitioner');
        self::assertSame('Practice of an unknown day, many breaths,  s', $this->get("/patients/{$this->patient->id}/access")->viewData('page')['props']['kept_aside'][0]['what']);
        $this->postJson("/patients/{$this->patient->id}/kept-aside/".KeptAside::query()->sole()->id, ['accept' => true])->assertUnprocessable();
        self::assertNull(KeptAside::query()->sole()->settled_at);

        DB::table('kept_asides')->insert(array_map(fn (int $n) => [
            'patient_id' => $this->patient->id, 'device_id' => $this->device->id, 'item' => "n$n", 'kind' => 'diary', 'body' => 'x', 'sent_at' => now(), 'received_at' => now(),
        ], range(1, KeptAside::MOST)));
        $this->app?->make('auth')->forgetGuards();
        self::assertSame('later', $this->fromDevice($this->credential)->batch([['id' => 'more', 'kind' => 'diary', 'body' => []]])->json('answers.0.result'));
    }

    /** @param  array<mixed>  $items */
    private function batch(array $items): \Illuminate\Testing\TestResponse
    {
        return $this->postJson('/api/v1/outbox', ['sent_at' => now()->utc()->format('Y-m-d\TH:i:s.v\Z'), 'items' => $items]);
    }
}
