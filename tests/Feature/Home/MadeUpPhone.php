<?php

declare(strict_types=1);

namespace Tests\Feature\Home;

use IvoryPace\Signal\MadeUp\MadeUpBreathing;
use IvoryPace\Signal\MadeUp\PhoneParts;

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
        foreach (PhoneParts::of($made) as $part) {
            $items[] = ['id' => "$uuid:{$part['number']}", 'kind' => 'trace-part', 'body' => ['uuid' => $uuid, ...$part]];
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
