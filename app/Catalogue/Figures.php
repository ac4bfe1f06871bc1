<?php

declare(strict_types=1);

namespace App\Catalogue;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\Item;

/** The numbers and the drawing of an exercise. */
final class Figures
{
    /** @return array<string, mixed> */
    public static function ofItem(Item $item): array
    {
        return self::numbers($item->timeline(), $item->routine === null ? $item->prescription : null, max($item->minutesByWeekday()));
    }

    /** @return array<string, mixed> */
    public static function of(Prescription $prescription): array
    {
        return self::numbers(Compiler::compile($prescription), $prescription, 0.0);
    }

    /** @return array{minutes: float|null, cues: list<Cue>, count_s: float} */
    public static function ridge(Prescription|Item $of): array
    {
        return $of instanceof Item ? self::ridgeOf($of->timeline(), $of->prescription->countLength->seconds)
            : self::ridgeOf(Compiler::compile($of), $of->countLength->seconds);
    }

    /**
     * What the ridge draws: the cues of one breath or of a retention, or how many minutes pass uncounted.
     *
     * @return array{minutes: float|null, cues: list<Cue>, count_s: float}
     */
    public static function ridgeOf(Timeline $timeline, float $countSeconds = 1.0): array
    {
        $cues = $timeline->portrait();

        return ['minutes' => $cues === [] ? $timeline->exerciseMs() / 60_000 : null, 'cues' => $cues, 'count_s' => $countSeconds];
    }

    /**
     * @param  Prescription|null  $single  null for a routine, which has no single breath
     * @return array<string, mixed>
     */
    private static function numbers(Timeline $timeline, ?Prescription $single, float $minutesADay): array
    {
        // The length of an open exhale is the patient's own: a rate or a share would only seem to be known.
        $cycle = $timeline->isAbout() ? null : $single?->cycle();

        return [
            'rounds' => $timeline->rounds(),
            'cycle_s' => $cycle?->seconds(),
            'rate' => $cycle?->rate(),
            'exhale_to_inhale' => $cycle?->exhaleToInhale(),
            'quiet_share' => $cycle?->quietShare(),
            'about' => $timeline->isAbout(),
            'breaths' => $timeline->breaths(),
            'exercise_ms' => $timeline->exerciseMs(),
            'total_ms' => $timeline->totalMs(),
            'minutes_a_day' => $minutesADay,
            'counts' => $single?->pattern === null ? null : self::counts($single->pattern),
        ];
    }

    /** @return array<string, float> counts by phase */
    private static function counts(BreathPattern $pattern): array
    {
        $counts = [];
        foreach (Phase::cases() as $phase) {
            $counts[$phase->value] = $pattern->counts($phase)->toFloat();
        }

        return $counts;
    }
}
