<?php

declare(strict_types=1);

namespace App\Signals;

use App\Models\Recording;
use App\Models\RecordingPart;

/** The samples of a recording, by channel, as they came: batches may overlap and come in any order. */
final class SamplesOf
{
    private const MOST_PARTS = 16_000;

    private const AT_ONCE = 10;

    private const SOME = 500;

    /** @return array<string, list<array{float, float}>> s and value, in order; of two devices with one channel the one that sent more */
    public static function recording(Recording $recording): array
    {
        return self::joined(RecordingPart::query()->where('recording_id', $recording->id)->where('number', '>', 0)->lazyById(self::SOME)
            ->take(self::MOST_PARTS));
    }

    /**
     * @param  iterable<RecordingPart>  $parts
     * @return array<string, list<array{float, float}>>
     */
    public static function joined(iterable $parts): array
    {
        $all = [];
        foreach ($parts as $part) {
            foreach ($part->values() as $channel => $samples) {
                foreach ($samples as $sample) {
                    $all[$channel][$part->sender][] = $sample;
                }
            }
        }
        $values = [];
        foreach ($all as $channel => $senders) {
            usort($senders, fn (array $one, array $other) => count($other) <=> count($one));
            $values[$channel] = $senders[0];
            // The sort is stable: of one moment the first that was sent stays first.
            usort($values[$channel], fn (array $one, array $other) => $one[0] <=> $other[0]);
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
        foreach (RecordingPart::query()->where('recording_id', $recording->id)->lazyById(self::AT_ONCE, 'number') as $part) {
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
