<?php

declare(strict_types=1);

namespace App\Signals;

use App\Models\Recording;

/** The samples of a recording, by channel, as they came: batches may overlap and come in any order. */
final class SamplesOf
{
    private const MOST_PARTS = 4000;

    private const AT_ONCE = 10;

    /** @return array<string, list<array{float, float}>> s and value, in order */
    public static function recording(Recording $recording, int $after = -1, int $most = self::MOST_PARTS): array
    {
        $values = [];
        foreach ($recording->samples()->where('number', '>', $after)->limit($most)->get() as $part) {
            foreach ($part->values() as $channel => $samples) {
                foreach ($samples as $sample) {
                    $values[$channel][] = $sample;
                }
            }
        }
        // The sort is stable: of one moment the first that was sent stays first.
        foreach ($values as &$samples) {
            usort($samples, fn (array $one, array $other) => $one[0] <=> $other[0]);
        }

        return $values;
    }

    /**
     * Part by part: an hour of three axes as one list each would be more than a request may hold.
     *
     * @return list<array{float, float, float, float}> s and acceleration along three axes, m/s²
     */
    public static function phone(Recording $recording): array
    {
        $samples = [];
        $last = -INF;
        foreach ($recording->samples()->lazyById(self::AT_ONCE, 'number') as $part) {
            $values = $part->values();
            foreach ($values['x'] ?? [] as $n => [$time, $x]) {
                // Parts that overlap say nothing new.
                if (isset($values['y'][$n], $values['z'][$n]) && $time > $last) {
                    $samples[] = [$last = (float) $time, (float) $x, (float) $values['y'][$n][1], (float) $values['z'][$n][1]];
                }
            }
        }

        return $samples;
    }
}
