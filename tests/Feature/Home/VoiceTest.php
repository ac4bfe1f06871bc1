<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use App\Models\Practitioner;
use App\Models\VoiceClip;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use IvoryPace\Signal\Wav;
use Tests\Feature\Scenario;
use Tests\TestCase;

final class VoiceTest extends TestCase
{
    use RefreshDatabase, Scenario;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinicWithPatient();
        $this->actingAs($this->practitioner, 'practitioner');
    }

    public function test_a_line_is_kept_ready_to_be_played_and_a_new_one_takes_its_place(): void
    {
        $this->record('number.4', 0.4)->assertCreated()->assertJsonPath('ms', fn (int $ms) => $ms > 400 && $ms < 500);
        $this->record('number.4', 0.5)->assertCreated();
        $clip = VoiceClip::query()->sole();
        self::assertEqualsWithDelta(-20.0, $clip->loudness, 0.5);
        self::assertSame($clip->sound(), $this->get('/voice/number.4')->assertOk()->assertHeader('Content-Type', 'audio/wav')->getContent());
        $this->get('/voice')->assertInertia(fn (AssertableInertia $page) => $page->component('Voice')->where('lines.4.text', '4')->where('lines.4.kept.ms', $clip->ms)->where('lines.0.kept', null)
            ->where('lines', fn ($lines) => collect($lines)->every(fn (array $line) => ! str_starts_with($line['text'], 'cue.'))));
        $this->deleteJson('/voice/number.4')->assertOk();
        $this->get('/voice/number.4')->assertNotFound();
    }

    public function test_what_cannot_be_used_is_refused_with_what_to_do(): void
    {
        $this->record('number.4', 1.4)->assertJsonValidationErrors(['wav' => 'It lasts 1.4 s; at most 0.8 s fit. Say it shorter.']);
        $this->record('number.4', 0.4, 0.0)->assertJsonValidationErrors(['wav' => 'Nothing was heard. Check the microphone and say it again.']);
        $this->record('number.121', 0.4)->assertJsonValidationErrors('line');
        $this->call('POST', '/voice/number.4', server: ['HTTP_ACCEPT' => 'application/json'], content: 'not a sound')->assertUnprocessable();
        self::assertSame(0, VoiceClip::query()->count());
    }

    public function test_each_has_a_voice_of_their_own_and_patients_hear_their_practitioners(): void
    {
        $this->record('number.4', 0.4)->assertCreated();
        [, $credential] = $this->device();
        $this->actingAs(Practitioner::factory()->create(['clinic_id' => $this->practitioner->clinic_id]), 'practitioner');
        $this->get('/voice/number.4')->assertNotFound();
        $this->deleteJson('/voice/number.4')->assertOk();
        self::assertSame(1, VoiceClip::query()->count(), 'it was somebody else’s');

        $this->app?->make('auth')->forgetGuards();
        $this->fromDevice($credential);
        self::assertSame([['line' => 'number.4', 'hash' => VoiceClip::query()->sole()->hash]], $this->getJson('/api/v1/voice')->assertOk()->json('lines'));
        self::assertSame(VoiceClip::query()->sole()->sound(), $this->get('/api/v1/voice/number.4')->assertOk()->getContent());
        $this->get('/api/v1/voice/number.5')->assertNotFound();
    }

    public function test_what_is_said_alike_is_recorded_once(): void
    {
        $this->record('cue.rest', 0.4)->assertCreated();
        $rests = fn (array $lines): array => array_values(array_filter($lines, fn (array $line) => $line['text'] === 'rest'));
        $shown = $this->props($this->get('/voice'))['lines'];
        self::assertSame(['cue.rest'], array_column($rests($shown), 'line'));
        self::assertSame(count($shown), count(array_unique(array_map(fn (array $line) => "{$line['text']} {$line['longest_s']}", $shown))));

        [, $credential] = $this->device();
        $this->app?->make('auth')->forgetGuards();
        $hash = VoiceClip::query()->sole()->hash;
        $heard = array_column($this->fromDevice($credential)->getJson('/api/v1/voice')->assertOk()->json('lines'), 'hash', 'line');
        self::assertSame(['cue.rest' => $hash, 'cue.short.rest' => $hash], $heard);
        self::assertSame(VoiceClip::query()->sole()->sound(), $this->get('/api/v1/voice/cue.short.rest')->assertOk()->getContent());
    }

    private function record(string $line, float $seconds, float $amplitude = 0.3): TestResponse
    {
        $samples = [...array_fill(0, 4000, 0.0), ...array_map(fn (int $n) => $amplitude * sin(2 * M_PI * 220 * $n / 16000), range(0, (int) ($seconds * 16000))), ...array_fill(0, 4000, 0.0)];

        return $this->call('POST', "/voice/$line", server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'audio/wav'], content: Wav::write($samples, 16000));
    }
}
