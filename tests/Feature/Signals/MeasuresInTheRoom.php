<?php

declare(strict_types=1);

namespace Tests\Feature\Signals;

use App\Models\Recording;
use Illuminate\Testing\TestResponse;
use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\MadeUpHeart;
use Tests\Feature\Scenario;

/** A clinic with paired devices, and what they send. */
trait MeasuresInTheRoom
{
    use Scenario;

    /** @return array{int, string} its id and token */
    protected function paired(string $name = 'Belts at the window'): array
    {
        $this->actingAs($this->practitioner, 'practitioner');
        $code = (string) $this->postJson('/sensors', ['name' => $name])->assertCreated()->json('code');
        $token = (string) $this->postJson('/api/v1/sensor/pair', ['code' => $code])->assertCreated()->assertJson(['name' => $name])->json('token');

        return [(int) \App\Models\Sensor::query()->max('id'), $token];
    }

    /** @param  array<string, mixed>  $with */
    protected function begun(int $sensor, string $kind = 'quiet', array $with = []): Recording
    {
        $this->actingAs($this->practitioner, 'practitioner')
            ->postJson("/patients/{$this->patient->id}/signals", ['kind' => $kind, 'position' => 'seated', 'sensors' => [$sensor], ...$with])
            ->assertCreated()->assertJsonPath('open.kind', $kind);

        return Recording::query()->orderByDesc('id')->firstOrFail();
    }

    /** @param  array<string, mixed>  $with */
    protected function ended(Recording $recording, array $with = []): Recording
    {
        $this->actingAs($this->practitioner, 'practitioner')
            ->postJson("/patients/{$this->patient->id}/signals/{$recording->uuid}/end", $with)->assertOk();

        return $recording->refresh();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    protected function sent(string $token, Recording $recording, int $number, string $batch): TestResponse
    {
        $this->app?->make('auth')->forgetGuards();

        return $this->call('PUT', "/api/v1/sensor/recordings/{$recording->uuid}/parts/$number", server: [
            'HTTP_AUTHORIZATION' => "Bearer $token", 'CONTENT_TYPE' => 'application/x-ndjson', 'CONTENT_LENGTH' => (string) strlen($batch),
        ], content: $batch);
    }

    protected function done(string $token, Recording $recording, int $parts): void
    {
        $this->app?->make('auth')->forgetGuards();
        $this->withHeader('Authorization', "Bearer $token")->postJson("/api/v1/sensor/recordings/{$recording->uuid}/done", ['parts' => $parts])->assertOk();
    }

    /**
     * @param  float  $until  s
     * @return list<string> batches of two seconds
     */
    protected static function belts(MadeUpBreathing $made, float $until = INF): array
    {
        $chest = $made->chest();
        $lines = array_map(
            fn (array $belly, array $other) => ['t' => round($belly[0], 3), 'ch' => ['belly' => round($belly[1], 4), 'chest' => round($other[1], 4)]],
            $made->belly(), $chest,
        );

        return self::batches(array_values(array_filter($lines, fn (array $line) => $line['t'] <= $until)), 50);
    }

    /** @return list<string> */
    protected static function oximeter(MadeUpHeart $heart): array
    {
        $lines = [
            ...array_map(fn (array $each) => ['t' => $each[0], 'spo2' => (int) $each[1], 'pulse' => (int) $each[2]], $heart->oximeter()),
            ...array_map(fn (array $each) => ['t' => round($each[0], 3), 'rr_ms' => (int) round($each[1])], $heart->beats()),
        ];
        usort($lines, fn (array $one, array $other) => $one['t'] <=> $other['t']);

        return self::batches($lines, 20);
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @param  positive-int  $many
     * @return list<string>
     */
    private static function batches(array $lines, int $many): array
    {
        return array_map(
            fn (array $some) => implode('', array_map(fn (array $line) => json_encode($line, JSON_THROW_ON_ERROR)."\n", $some)), array_chunk($lines, $many),
        );
    }
}
