<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Measurement;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use IvoryPace\Assessment\Measure;

/** What else was measured at rest in the same session: the open one, or the last hours where there is none. */
final class TakenTogether
{
    private const HOURS = 3;

    private const MOST = 100;

    /** @return array<string, float> the latest of each, by measure */
    public static function by(Patient $patient, CarbonImmutable $now): array
    {
        $begun = $patient->careSessions()->whereNull('closed_at')->value('begun_at');
        $since = $begun === null ? $now->subHours(self::HOURS) : CarbonImmutable::parse((string) $begun, 'UTC')->max($now->subHours(12));
        $atRest = array_map(
            fn (Measure $measure) => $measure->value, array_filter(Measure::cases(), fn (Measure $measure) => $measure->isAtRest()),
        );
        $values = [];
        foreach (
            Measurement::query()->where('patient_id', $patient->id)->whereIn('measure', $atRest)->where('measured_at', '>=', $since)
                ->orderBy('measured_at')->orderBy('id')->limit(self::MOST)->get() as $each
        ) {
            $values[$each->measure->value] = $each->value;
        }

        return $values;
    }

    /** The personal best of peak flow, l/min. */
    public static function bestFlow(Patient $patient): ?float
    {
        $best = Measurement::query()->where('patient_id', $patient->id)->where('measure', Measure::PeakFlowBest)->orderByDesc('measured_at')
            ->orderByDesc('id')->first();

        return $best?->value;
    }
}
