<?php

declare(strict_types=1);

namespace Tests\Feature\Signals;

use App\Actions\Recording\CloseRecordings;
use App\Actions\Recording\ForgetSamples;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\RaisedRedFlag;
use App\Models\Recording;
use App\Models\RecordingPart;
use App\Models\RecordingSensor;
use App\Models\Sensor;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\MadeUpHeart;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A patient is measured with belts and an oximeter in the room. */
final class RoomTest extends TestCase
{
    use MeasuresInTheRoom, RefreshDatabase;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-12-02 09:00:00');
        $this->clinicWithPatient();
        $this->screen();
    }

    public function test_a_quiet_minute_of_two_belts_gives_rate_and_hand_check_that_are_kept_with_their_source(): void
    {
        [$sensor, $token] = $this->paired();
        $recording = $this->begun($sensor);
        $this->withToken($token)->getJson('/api/v1/sensor/recording')->assertJsonPath('recording.uuid', $recording->uuid);
        // Chest a third of the way behind; a breath to compare the belts by comes first.
        $made = new MadeUpBreathing([2, 0, 3, 0], 14, noiseDb: 25, apart: 60);
        $batches = self::belts($made);
        $this->travel(75)->seconds();
        foreach ($batches as $n => $batch) {
            $this->sent($token, $recording, $n + 1, $batch)->assertOk()->assertJson(['known' => false, 'outside' => 0]);
        }
        $this->done($token, $recording, count($batches));
        $this->ended($recording, ['calibration' => '1']);

        self::assertEqualsWithDelta(12.0, $recording->rate, 0.3);
        self::assertEqualsWithDelta(60, $recording->details['angle'] ?? 0, 6);
        $page = $this->props($this->get("/patients/{$this->patient->id}/signals"));
        self::assertNull($page['open']);
        $line = $page['recordings'][0];
        self::assertStringContainsString('breaths a minute', $line['lines'][0]);
        self::assertMatchesRegularExpression('/of the movement at the belly; chest and belly \d+° out of step/', implode(' ', $line['lines']));
        self::assertSame(['resting-rate', 'hand-check'], array_column($line['keep'], 'measure'));
        self::assertSame([false, false], array_column($line['keep'], 'kept'));

        foreach (['resting-rate', 'hand-check'] as $measure) {
            $this->postJson("/patients/{$this->patient->id}/measure", ['measure' => $measure, 'position' => 'seated', 'recording' => $recording->uuid])->assertCreated();
        }
        $kept = Measurement::query()->orderBy('id')->get();
        self::assertEqualsWithDelta((float) $recording->rate, $kept[0]->value, 0.06);
        self::assertSame(['two belts, quiet minute', 'two belts'], $kept->pluck('method')->all());
        self::assertEqualsWithDelta(100 * (1 - (float) ($recording->details['belly_share'] ?? 0)), $kept[1]->value, 0.06);
        self::assertSame([true, true], array_column($this->props($this->get("/patients/{$this->patient->id}/signals"))['recordings'][0]['keep'], 'kept'));
        // What it does not say is not kept.
        $this->postJson("/patients/{$this->patient->id}/measure", ['measure' => 'pulse', 'position' => 'seated', 'recording' => $recording->uuid])
            ->assertUnprocessable()->assertJsonPath('errors.value.0', 'This recording says nothing of Pulse.');
        // Nobody agreed that samples stay, and the belts have sent all.
        self::assertSame(0, RecordingPart::query()->count());
        self::assertNull($recording->samples_until);
    }

    public function test_without_a_breath_to_compare_them_by_two_belts_make_no_hand_check(): void
    {
        [$sensor, $token] = $this->paired();
        $recording = $this->measured($sensor, $token, self::belts(new MadeUpBreathing([2, 0, 3, 0], 14)));
        $line = $this->props($this->get("/patients/{$this->patient->id}/signals"))['recordings'][0];
        self::assertSame(['resting-rate'], array_column($line['keep'], 'measure'));
        self::assertStringNotContainsString('at the belly', implode(' ', $line['lines']));
        self::assertNotNull($recording->details['angle'] ?? null);
    }

    public function test_a_quiet_minute_that_was_cut_short_gives_no_resting_rate(): void
    {
        [$sensor, $token] = $this->paired();
        foreach ([[36, '5', false], [36, null, true], [44, '5', true], [29, null, false]] as [$seconds, $calibration, $isEnough]) {
            $recording = $this->begun($sensor);
            $this->travel($seconds)->seconds();
            foreach (self::belts(new MadeUpBreathing([2, 0, 3, 0], 10), (float) $seconds) as $n => $batch) {
                $this->sent($token, $recording, $n + 1, $batch)->assertOk();
            }
            $this->ended($recording, $calibration === null ? [] : ['calibration' => $calibration]);
            $line = $this->props($this->get("/patients/{$this->patient->id}/signals"))['recordings'][0];
            self::assertNotNull($recording->rate, "$seconds s");
            self::assertSame($isEnough, in_array('resting-rate', array_column($line['keep'], 'measure'), true), "$seconds s");
            self::assertSame(! $isEnough, str_contains(implode(' ', $line['lines']), 'too short for a resting rate'), "$seconds s");
            $this->postJson("/patients/{$this->patient->id}/measure", ['measure' => 'resting-rate', 'position' => 'seated', 'recording' => $recording->uuid])
                ->assertStatus($isEnough ? 201 : 422);
            $this->travel(1)->minutes();
        }
    }

    public function test_a_saturation_that_fell_in_a_hold_is_kept_as_such_and_held_against_the_programme_at_once(): void
    {
        $this->issue(['technique' => 'square', 'ratio' => '4:4:4:4']);
        [$sensor, $token] = $this->paired('Clip');
        $recording = $this->begun($sensor, 'hold');
        $made = new MadeUpBreathing([4, 0, 6, 0], 14, held: [4, 40.0]);
        $heart = new MadeUpHeart($made, fall: 0.4);
        $this->travel(200)->seconds();
        foreach (self::oximeter($heart) as $n => $batch) {
            $this->sent($token, $recording, $n + 1, $batch)->assertOk();
        }
        $from = $made->truth[4]['start'] + 10;
        $this->ended($recording, ['hold_from' => (string) $from, 'hold_to' => (string) ($from + 40)]);
        $fall = $recording->details['fall'] ?? [];
        self::assertTrue($fall['fell']);
        self::assertFalse($fall['still_low']);
        $line = $this->props($this->get("/patients/{$this->patient->id}/signals"))['recordings'][0];
        self::assertSame(['saturation-fall', 'saturation'], array_column($line['keep'], 'measure'));

        $body = ['measure' => 'saturation-fall', 'position' => 'seated', 'recording' => $recording->uuid];
        $this->postJson("/patients/{$this->patient->id}/measure", $body)->assertCreated();
        $value = Measurement::query()->sole();
        self::assertEquals($fall['lowest'], $value->value);
        self::assertSame('oximeter, watched hold', $value->method);
        self::assertContains('SATURATION-FALL', $this->patient->newFindings()->pluck('rule')->all());
        self::assertSame(0, RaisedRedFlag::query()->count(), 'it is no value at rest');
    }

    public function test_paces_are_compared_by_the_heart_and_the_best_is_offered_on_the_bench(): void
    {
        [$sensor, $token] = $this->paired('Clip');
        $recording = $this->begun($sensor, 'pace');
        $played = $beats = [];
        $from = 0.0;
        foreach ([[6.5, 6], [6.0, 8], [5.5, 16], [5.0, 8], [4.5, 6]] as [$pace, $swing]) {
            $length = 60 / $pace;
            $made = new MadeUpBreathing([0.4 * $length, 0, 0.6 * $length, 0], (int) round(3 * $pace));
            foreach ($made->truth as $breath) {
                $played[] = [(int) round(1000 * ($from + $breath['start'])), (int) round(400 * $length), (int) round(600 * $length), (int) round(1000 * $length)];
            }
            foreach ((new MadeUpHeart($made, swing: $swing))->beats() as [$at, $ms]) {
                $beats[] = ['t' => round($from + $at, 3), 'rr_ms' => (int) round($ms)];
            }
            $from += $made->end();
        }
        $this->travel(1100)->seconds();
        foreach (self::batches($beats, 200) as $n => $batch) {
            $this->sent($token, $recording, $n + 1, $batch)->assertOk()->assertJson(['outside' => 0]);
        }
        $this->ended($recording, ['played' => $played]);
        self::assertSame(5.5, $recording->details['heart']['best'] ?? null);
        $line = $this->props($this->get("/patients/{$this->patient->id}/signals"))['recordings'][0];
        self::assertContains('The heart swings most at 5.5 breaths a minute.', $line['lines']);
        self::assertCount(5, $line['paces']);
        self::assertSame(
            ['pace' => 5.5, 'on' => '2 Dec 2026', 'as_good' => []], $this->props($this->get("/patients/{$this->patient->id}/bench"))['best_pace'],
        );
    }

    public function test_where_something_warns_of_a_pace_it_is_not_led_and_with_an_open_red_flag_none_is(): void
    {
        $url = "/patients/{$this->patient->id}/signals";
        self::assertSame([6.5, 6.0, 5.5, 5.0, 4.5], array_map(floatval(...), $this->props($this->actingAs($this->practitioner, 'practitioner')->get($url))['paces']['paces']));
        $this->issue();
        $this->getJson("$url/paces")->assertOk()->assertJsonPath('name', 'Comparison of paces');
        $this->screen(['flag.asthma']);
        $paces = $this->props($this->get($url))['paces'];
        self::assertTrue($paces['possible']);
        self::assertSame([4.5], array_column($paces['left_out'], 'pace'));
        self::assertStringContainsString('asthma', $paces['left_out'][0]['why']);
        $this->screen(['flag.copd']);
        self::assertFalse($this->props($this->get($url))['paces']['possible']);
        $this->getJson("$url/paces")->assertUnprocessable();

        [$sensor] = $this->paired();
        $this->screen(['red.chest-pain']);
        foreach (['pace', 'hold'] as $kind) {
            $this->postJson($url, ['kind' => $kind, 'position' => 'seated', 'sensors' => [$sensor]])->assertUnprocessable()
                ->assertJsonPath('errors.kind.0', fn (string $said) => str_contains($said, 'A red flag is open'));
        }
        $this->begun($sensor);
    }

    public function test_batches_twice_late_and_in_any_order_are_taken_once_and_only_what_belongs_to_the_recording(): void
    {
        [$sensor, $token] = $this->paired();
        $recording = $this->begun($sensor);
        $batches = self::belts(new MadeUpBreathing([4, 0, 6, 0], 12));
        $this->travel(60)->seconds();
        $this->ended($recording);
        self::assertSame('Nothing arrived.', $this->props($this->get("/patients/{$this->patient->id}/signals"))['recordings'][0]['lines'][0] ?? null);
        self::assertNotNull($recording->samples_until, 'more may come');

        // A day without a network.
        $this->travel(24)->hours();
        $outside = 0;
        $order = array_reverse(array_keys($batches));
        foreach ([...$order, ...array_slice($order, 0, 5)] as $n) {
            $outside += $this->sent($token, $recording, $n + 1, $batches[$n])->assertOk()->json('outside');
        }
        $this->done($token, $recording, count($batches));
        $recording->refresh();
        // 123 s were breathed, 60 s of them belong to it.
        self::assertEqualsWithDelta(6.0, $recording->rate, 0.3);
        self::assertSame($outside, RecordingSensor::query()->sole()->outside);
        self::assertGreaterThan(2500, $outside);
        self::assertNotNull($recording->samples_gone_at);
        $this->sent($token, $recording, 500, $batches[0])->assertStatus(410)->assertJsonPath('message', fn (string $said) => str_contains($said, 'have been removed'));
    }

    public function test_two_days_after_the_end_nothing_more_is_taken_and_what_was_there_is_read_and_goes(): void
    {
        [$sensor, $token] = $this->paired();
        $recording = $this->begun($sensor);
        $batches = self::belts(new MadeUpBreathing([4, 0, 6, 0], 12), 60);
        $this->travel(60)->seconds();
        $this->ended($recording);
        $this->travel(47)->hours();
        foreach (array_slice($batches, 0, -1) as $n => $batch) {
            $this->sent($token, $recording, $n + 1, $batch)->assertOk();
        }
        $this->travel(2)->hours();
        $this->sent($token, $recording, count($batches), $batches[count($batches) - 1])->assertStatus(410)
            ->assertJsonPath('message', 'Nothing was taken: the recording ended more than 48 hours ago.');
        app(CloseRecordings::class)(CarbonImmutable::now());
        app(ForgetSamples::class)->due(CarbonImmutable::now());
        self::assertEqualsWithDelta(6.0, $recording->refresh()->rate, 0.3);
        self::assertSame(0, RecordingPart::query()->count());
    }

    public function test_what_nobody_ended_ends_after_half_an_hour(): void
    {
        [$sensor, $token] = $this->paired();
        $recording = $this->begun($sensor);
        $this->travel(31)->minutes();
        $this->withToken($token)->getJson('/api/v1/sensor/recording')->assertOk()->assertJsonPath('recording', null);
        app(CloseRecordings::class)(CarbonImmutable::now());
        self::assertSame('2026-12-02 09:30:00', $recording->refresh()->ended_at?->toDateTimeString());
        self::assertNotNull($recording->read_at);
        // The page that was away brings what was led, once.
        $this->ended($recording, ['played' => [[3000, 4000, 6000, 10_000]], 'calibration' => '1']);
        $this->ended($recording, ['played' => [[5000, 4000, 6000, 10_000]]]);
        self::assertSame([[[3000, 4000, 6000, 10_000]], ['calibration' => 1], '2026-12-02 09:30:00'], [
            $recording->played, $recording->marks, $recording->ended_at->toDateTimeString(),
        ]);
    }

    public function test_a_device_measures_for_one_recording_at_a_time_and_only_for_those_it_was_asked_for(): void
    {
        [$sensor, $token] = $this->paired();
        [$other, $others] = $this->paired('Clip');
        $recording = $this->begun($sensor);
        $second = Patient::factory()->create(['practitioner_id' => $this->practitioner->id, 'clinic_id' => $this->practitioner->clinic_id]);
        $this->postJson("/patients/{$second->id}/signals", ['kind' => 'quiet', 'position' => 'seated', 'sensors' => [$sensor]])->assertUnprocessable()
            ->assertJsonPath('errors.sensors.0', '“Belts at the window” is measuring for another recording. End that one first.');
        $this->sent($others, $recording, 1, '{"t":1,"ch":{"belly":1}}')->assertForbidden()
            ->assertJsonPath('message', 'Nothing was taken: this device was not asked to measure for that recording.');
        $this->ended($recording);
        $this->postJson("/patients/{$second->id}/signals", ['kind' => 'quiet', 'position' => 'seated', 'sensors' => [$sensor, $other]])->assertCreated();
        self::assertSame(3, RecordingSensor::query()->count());
        $this->withToken($token)->getJson('/api/v1/sensor/recording')->assertJsonMissing([$recording->uuid]);
    }

    #[DataProvider('broken')]
    public function test_what_is_no_measurement_is_refused_in_words(string $batch, string $why): void
    {
        [$sensor, $token] = $this->paired();
        $recording = $this->begun($sensor);
        $this->travel(60)->seconds();
        $this->sent($token, $recording, 1, $batch)->assertStatus(strlen($batch) > 256_000 ? 413 : 422)
            ->assertJsonPath('message', fn (string $said) => str_contains($said, $why));
        self::assertSame(0, RecordingPart::query()->count());
        // The device goes on.
        $this->sent($token, $recording, 1, '{"t":1,"ch":{"belly":1}}')->assertOk()->assertJson(['taken' => 1]);
    }

    /** @return array<string, array{string, string}> */
    public static function broken(): array
    {
        return [
            'too large a number' => ['{"t":1,"ch":{"belly":1e308}}', 'line 1: belly is a number from'],
            'more than that' => ['{"t":1,"ch":{"belly":1e999}}', 'line 1'],
            'no number' => ['{"t":1,"ch":{"belly":NaN}}', 'line 1 is no sample'],
            'a word' => ['{"t":"1","ch":{"belly":1}}', 'line 1: t is a number'],
            'backwards' => ["{\"t\":2,\"ch\":{\"belly\":1}}\n{\"t\":1,\"ch\":{\"belly\":1}}", 'line 2: time runs backwards, from 2 to 1 s'],
            'not text' => ["\xC3\x28", 'line 1 is no sample'],
            'nothing' => ['', 'no lines'],
            'a batch too large' => [str_repeat('{"t":1,"ch":{"belly":1}}'."\n", 11_000), 'at most 256000 bytes'],
            '10 MB' => [str_repeat('{"t":1,"ch":{"belly":1}}'."\n", 400_000), 'larger than what is taken here'],
        ];
    }

    public function test_a_device_that_was_ended_or_is_not_known_is_refused_in_words(): void
    {
        [$sensor, $token] = $this->paired();
        $recording = $this->begun($sensor);
        $this->deleteJson("/sensors/$sensor")->assertOk();
        $this->sent($token, $recording, 1, '{"t":1,"ch":{"belly":1}}')->assertUnauthorized()
            ->assertJsonPath('message', 'This device was ended in the clinic: nothing more is taken from it. Pair it again.');
        $this->sent('guessed', $recording, 1, '{"t":1,"ch":{"belly":1}}')->assertUnauthorized()
            ->assertJsonPath('message', 'This token is not known here: nothing is taken from this device. Pair it again.');
        self::assertSame([], $this->props($this->actingAs($this->practitioner, 'practitioner')->get("/patients/{$this->patient->id}/signals"))['sensors']);
    }

    public function test_a_code_works_once_for_ten_minutes_and_not_for_guessers(): void
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $this->postJson('/sensors', ['name' => ''])->assertUnprocessable();
        $this->postJson('/sensors', ['name' => ['a']])->assertUnprocessable();
        $code = (string) $this->postJson('/sensors', ['name' => 'Belts'])->json('code');
        $this->travel(11)->minutes();
        $this->postJson('/api/v1/sensor/pair', ['code' => $code])->assertUnprocessable()
            ->assertJsonPath('errors.code.0', fn (string $said) => str_contains($said, 'older than ten minutes'));
        $code = (string) $this->postJson('/sensors', ['name' => 'Belts'])->json('code');
        $this->postJson('/api/v1/sensor/pair', ['code' => strtolower(str_replace('-', ' ', $code))])->assertCreated();
        $this->postJson('/api/v1/sensor/pair', ['code' => $code])->assertUnprocessable();
        $this->travel(2)->minutes();
        for ($n = 0; $n < 10; $n++) {
            // A token that comes along, made up anew each time, makes no one else of them.
            $this->withToken("made-up-$n")->postJson('/api/v1/sensor/pair', ['code' => "0000$n-00000"])->assertUnprocessable();
        }
        $this->withToken('made-up')->postJson('/api/v1/sensor/pair', ['code' => '00000-00000'])->assertTooManyRequests();
        self::assertSame(1, Sensor::pairedIn($this->practitioner->clinic_id)->count());
    }

    public function test_another_clinic_and_a_patient_reach_neither_recordings_nor_devices(): void
    {
        [$sensor] = $this->paired();
        $recording = $this->begun($sensor);
        $other = Practitioner::factory()->create();
        $url = "/patients/{$this->patient->id}/signals";
        $this->actingAs($other, 'practitioner');
        foreach (['', '/paces', "/{$recording->uuid}/live", "/{$recording->uuid}/trace.edf"] as $path) {
            $this->getJson("$url$path")->assertNotFound();
        }
        $this->postJson("$url/{$recording->uuid}/end")->assertNotFound();
        $this->deleteJson("/sensors/$sensor")->assertNotFound();
        $theirs = Patient::factory()->create(['practitioner_id' => $other->id, 'clinic_id' => $other->clinic_id]);
        // Neither a device of ours for their patient, nor a recording of ours through their patient.
        $this->postJson("/patients/{$theirs->id}/signals", ['kind' => 'quiet', 'position' => 'seated', 'sensors' => [$sensor]])->assertUnprocessable();
        $this->getJson("/patients/{$theirs->id}/signals/{$recording->uuid}/live")->assertNotFound();
        $this->postJson("/patients/{$theirs->id}/measure", ['measure' => 'resting-rate', 'position' => 'seated', 'recording' => $recording->uuid])->assertUnprocessable();
    }

    public function test_the_live_page_shows_what_is_new_and_what_the_last_minute_says(): void
    {
        [$sensor, $token] = $this->paired();
        $recording = $this->begun($sensor, 'led', ['about' => 'Longer breath out']);
        $batches = self::belts(new MadeUpBreathing([4, 0, 6, 0], 12, apart: 30), 50);
        $this->travel(50)->seconds();
        foreach ($batches as $n => $batch) {
            $this->sent($token, $recording, $n + 1, $batch)->assertOk();
        }
        $this->actingAs($this->practitioner, 'practitioner');
        $live = $this->getJson("/patients/{$this->patient->id}/signals/{$recording->uuid}/live?after=0&reading=1")->assertOk()->json();
        self::assertTrue($live['is_open']);
        self::assertEqualsWithDelta(6.0, $live['reading']['rate'], 0.4);
        self::assertEqualsWithDelta(30, $live['reading']['angle'], 8);
        self::assertSame(['name' => 'Belts at the window', 'here' => true], array_intersect_key($live['sensors'][0], ['name' => 1, 'here' => 1]));
        self::assertGreaterThan(1200, count($live['values']['belly']));
        $next = $this->getJson("/patients/{$this->patient->id}/signals/{$recording->uuid}/live?after={$live['last']}")->json();
        self::assertSame([$live['last'], [], null], [$next['last'], $next['values'], $next['reading']]);
    }

    public function test_when_the_patient_agrees_samples_stay_and_go_out_as_files_until_it_is_taken_back(): void
    {
        $url = "/patients/{$this->patient->id}/signals";
        $this->actingAs($this->practitioner, 'practitioner')->putJson("$url/agreement", ['kept' => true])->assertOk()->assertJson(['agreed' => true]);
        [$sensor, $token] = $this->paired();
        $recording = $this->measured($sensor, $token, self::belts(new MadeUpBreathing([4, 0, 6, 0], 12)));
        self::assertSame('2027-03-02', $recording->samples_until?->toDateString());
        $edf = $this->get("$url/{$recording->uuid}/trace.edf")->assertOk()->getContent();
        self::assertStringContainsString('Resp belly', (string) $edf);
        self::assertStringStartsWith('t_s,belly,chest', (string) $this->get("$url/{$recording->uuid}/trace.csv")->assertOk()->getContent());
        $this->deleteJson("$url/{$recording->uuid}/samples")->assertOk()->assertJsonPath('recordings.0.has_samples', false);
        $this->getJson("$url/{$recording->uuid}/trace.edf")->assertUnprocessable()->assertJsonPath('message', 'No sample is there to be saved.');

        $this->measured($sensor, $token, self::belts(new MadeUpBreathing([4, 0, 6, 0], 12)));
        self::assertGreaterThan(0, RecordingPart::query()->count());
        $this->putJson("$url/agreement", ['kept' => false])->assertOk()->assertJson(['agreed' => false]);
        self::assertSame(0, RecordingPart::query()->count());
    }

    /** @param  list<string>  $batches */
    private function measured(int $sensor, string $token, array $batches): Recording
    {
        $recording = $this->begun($sensor);
        $this->travel(130)->seconds();
        foreach ($batches as $n => $batch) {
            $this->sent($token, $recording, $n + 1, $batch)->assertOk();
        }
        $this->done($token, $recording, count($batches));

        return $this->ended($recording);
    }
}
