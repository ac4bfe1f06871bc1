<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Measurement;
use App\Models\Patient;
use Illuminate\Support\Collection;
use IvoryPace\Assessment\Measure;

/** Last and first value of each measure, and how they were taken. */
final class MeasureSheet
{
    private const MOST = 500;

    /** @return list<array<string, mixed>> one for each measure */
    public static function of(Patient $patient): array
    {
        $all = Measurement::query()->where('patient_id', $patient->id)->with('practitioner')
            ->orderByDesc('measured_at')->orderByDesc('id')->limit(self::MOST)->get()->groupBy(fn (Measurement $each) => $each->measure->value);

        return array_map(function (Measure $measure) use ($all, $patient) {
            /** @var Collection<int, Measurement> $values */
            $values = $all->get($measure->value, new Collection);
            $last = $values->first();
            $first = $values->count() > 1 ? $values->last() : null;

            return [
                'key' => $measure->value, 'label' => $measure->label(), 'unit' => $measure->unit(), 'is_limit' => $measure->isLimit(),
                'possible' => $measure->possible(),
                'last' => $last === null ? null : self::value($last, $patient),
                'first' => $first === null ? null : self::value($first, $patient),
                'comparable' => $last === null || $first === null || ($last->position === $first->position && $last->method === $first->method),
            ];
        }, Measure::cases());
    }

    /** @return array<string, float> the latest resting rate and comfortable limits, as far as they were measured */
    public static function latest(Patient $patient): array
    {
        return Measurement::query()->where('patient_id', $patient->id)
            ->whereIn('measure', [Measure::RestingRate, Measure::Inhale, Measure::Hold, Measure::Exhale])
            ->orderByDesc('measured_at')->orderByDesc('id')->limit(self::MOST)->get(['measure', 'value'])
            ->unique(fn (Measurement $each) => $each->measure->value)->mapWithKeys(fn (Measurement $each) => [$each->measure->value => $each->value])->all();
    }

    /** @return array<string, mixed> */
    private static function value(Measurement $measurement, Patient $patient): array
    {
        return [
            'value' => $measurement->value, 'position' => $measurement->position->label(), 'method' => $measurement->method,
            'on' => $measurement->measured_at->setTimezone($patient->clinic->time_zone)->format('j M Y'), 'by' => $measurement->practitioner->name,
        ];
    }
}
