<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use IvoryPace\Signal\MadeUp\MadeUpBreathing;

/** A phone that nobody lay under: what a device would send of it. */
trait MadeUpPhone
{
    /**
     * @param  list<array{int, int, int, int}>  $played  ms
     * @return list<array{id: string, kind: string, body: array<string, mixed>}> parts of half a minute, and what belongs to them
     */
    protected function trace(string $uuid, MadeUpBreathing $made, array $played, string $startedAt, int $inhaleMs = 3000): array
    {
        $items = [];
        foreach (array_chunk($made->phone(), 750) as $n => $samples) {
            $axis = function (int $which) use ($samples): array {
                $whole = array_map(fn (array $sample) => (int) round(1000 * $sample[$which]), $samples);

                return array_map(fn (int $at) => $whole[$at] - ($whole[$at - 1] ?? 0), array_keys($whole));
            };
            $items[] = ['id' => "$uuid:".($n + 1), 'kind' => 'trace-part', 'body' => [
                'uuid' => $uuid, 'number' => $n + 1, 'from_ms' => 30_000 * $n, 'step_ms' => 40, 'x' => $axis(1), 'y' => $axis(2), 'z' => $axis(3),
            ]];
        }
        $items[] = ['id' => "$uuid:trace", 'kind' => 'trace', 'body' => [
            'uuid' => $uuid, 'started_at' => $startedAt, 'parts' => count($items), 'inhale_ms' => $inhaleMs, 'played' => $played,
        ]];

        return $items;
    }

    /** @return list<array{int, int, int, int}> as many breaths as were led, in ms */
    protected function led(int $breaths, int $in = 4000, int $out = 6000, int $from = 3000): array
    {
        return array_map(fn (int $n) => [$from + $n * ($in + $out), $in, $out, $in + $out], range(0, $breaths - 1));
    }
}
