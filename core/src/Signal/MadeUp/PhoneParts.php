<?php

declare(strict_types=1);

namespace IvoryPace\Signal\MadeUp;

/** What a phone that lies on made-up breathing sends: parts of half a minute, packed as a device packs them. */
final class PhoneParts
{
    private const SAMPLES = 750;

    private const STEP_MS = 40;

    /**
     * @return list<array{number: int, from_ms: int, step_ms: int, x: list<int>, y: list<int>, z: list<int>}> mm/s²: the first as it is,
     *     then differences
     */
    public static function of(MadeUpBreathing $made): array
    {
        $parts = [];
        foreach (array_chunk($made->phone(), self::SAMPLES) as $n => $samples) {
            $parts[] = [
                'number' => $n + 1, 'from_ms' => $n * self::SAMPLES * self::STEP_MS, 'step_ms' => self::STEP_MS,
                'x' => self::steps(array_column($samples, 1)), 'y' => self::steps(array_column($samples, 2)),
                'z' => self::steps(array_column($samples, 3)),
            ];
        }

        return $parts;
    }

    /**
     * @param  list<float>  $values  m/s²
     * @return list<int>
     */
    private static function steps(array $values): array
    {
        $steps = [];
        $before = 0;
        foreach ($values as $value) {
            $now = (int) round(1000 * $value);
            $steps[] = $now - $before;
            $before = $now;
        }

        return $steps;
    }
}
