<?php

declare(strict_types=1);

namespace App\Signals;

use App\Models\Recording;

/** The samples of a recording, by channel, as they came: batches may overlap and come in any order. */
final class SamplesOf
{
    private const MOST_PARTS = 4000;

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
     * @param  array<string, list<array{float, float}>>  $values
     * @return list<array{float, float, float, float}> s and three axes, where all three are there
     */
    public static function acceleration(array $values): array
    {
        $at = fn (string $axis) => array_column($values[$axis] ?? [], 1, null);
        [$x, $y, $z] = [$at('x'), $at('y'), $at('z')];
        $samples = [];
        foreach ($values['x'] ?? [] as $n => [$time]) {
            if (isset($y[$n], $z[$n])) {
                $samples[] = [(float) $time, (float) $x[$n], (float) $y[$n], (float) $z[$n]];
            }
        }

        return $samples;
    }
}
