<?php

declare(strict_types=1);

namespace App\Signals;

use App\Models\Recording;
use App\Models\RecordingPart;
use App\Models\RecordingSensor;
use App\Models\Sensor;
use Carbon\CarbonImmutable;
use IvoryPace\InvalidValue;
use IvoryPace\Signal\Reading\Reading;

/** What a recording shows while it goes on: the samples that are new, and now and then what the last minute says. */
final class Live
{
    /** Batches at once; two a second come from each device. */
    private const MOST = 300;

    private const LAST_S = 60.0;

    private const LEAST_S = 15.0;

    /**
     * @param  int  $after  id of the last batch that was shown
     * @return array<string, mixed>
     */
    public static function of(Recording $recording, int $after, bool $wantsReading, CarbonImmutable $now): array
    {
        $new = RecordingPart::query()->where('recording_id', $recording->id)->where('id', '>', $after);
        // Whoever begins to look sees the last ones.
        $parts = $after > 0 ? $new->orderBy('id')->limit(self::MOST)->get()
            : $new->orderByDesc('id')->limit(self::MOST)->get()->reverse()->values();
        $at = $recording->started_at->diffInMilliseconds($now) / 1000;

        return [
            'last' => (int) ($parts->last()->id ?? $after),
            'values' => (object) array_map(self::rounded(...), SamplesOf::joined($parts)),
            'at' => round($at, 2), 'is_open' => $recording->isOpen($now),
            'sensors' => $recording->sensors()->with('sensor')->get()->map(fn (RecordingSensor $of) => [
                'id' => $of->sensor_id, 'name' => $of->sensor->name, 'here' => self::isHere($of->sensor, $now), 'outside' => $of->outside,
            ])->values(),
            'reading' => $wantsReading && $recording->isOpen($now) ? self::reading($recording, $at) : null,
        ];
    }

    public static function isHere(Sensor $sensor, CarbonImmutable $now): bool
    {
        return $sensor->last_seen_at !== null && $sensor->last_seen_at->addSeconds(Sensor::HERE_S) > $now;
    }

    /** @return array{rate: float|null, ratio: float|null, angle: float|null}|null of the last minute */
    private static function reading(Recording $recording, float $at): ?array
    {
        $parts = RecordingPart::query()->where('recording_id', $recording->id)->orderByDesc('id')->limit(self::MOST)->get();
        $values = SamplesOf::joined($parts->reverse()->values());
        $last = fn (string $channel) => array_values(
            array_filter($values[$channel] ?? [], fn (array $sample) => $sample[0] >= $at - self::LAST_S),
        );
        [$belly, $chest] = [$last('belly'), $last('chest')];
        $first = ($belly[0] ?? $chest[0] ?? [$at])[0];
        if ($at - $first < self::LEAST_S) {
            return null;
        }
        try {
            $reading = Reading::belts($belly, $chest);
        } catch (InvalidValue) {
            return null;
        }

        return $reading->isEmpty() ? null : [
            'rate' => $reading->rate === null ? null : round($reading->rate, 1),
            'ratio' => $reading->ratio === null ? null : round($reading->ratio, 1),
            'angle' => $reading->belts === null ? null : round($reading->belts->angle),
        ];
    }

    /**
     * @param  list<array{float, float}>  $samples
     * @return list<array{float, float}>
     */
    private static function rounded(array $samples): array
    {
        return array_map(fn (array $sample) => [round($sample[0], 2), round($sample[1], 4)], $samples);
    }
}
