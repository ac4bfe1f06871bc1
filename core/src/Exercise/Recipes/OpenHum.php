<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Place;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;

/**
 * A counted inhale, then a hum as long as is comfortable: it ends when the patient taps, at the latest after its greatest
 * length. A prescriber may set how many counts it lasts instead.
 */
final readonly class OpenHum implements Recipe
{
    /** Counts of hum for which room is planned; the real length is the patient's own and is logged. */
    private const NOMINAL_COUNTS = 8;

    private const GREATEST_MS = 40_000;

    public function segments(Prescription $prescription): array
    {
        $cycle = $this->cycles($prescription)[0];
        $segments = Cues::opening($prescription, $cycle);
        $of = (int) $prescription->breaths;
        $count = $cycle->countLength->seconds * 1000;
        $in = (int) $prescription->parameter('inhale');
        $top = $prescription->effort->top();
        for ($breath = 1; $breath <= $of; $breath++) {
            $place = new Place(breath: $breath, ofBreaths: $of);
            $inhaleMs = (int) round($in * $count);
            $segments[] = new Segment(SegmentRole::Exercise, [
                new Cue(
                    CueKind::Inhale, 0, $inhaleMs, 'cue.inhale.'.$prescription->routeIn->value, 0.0, $top,
                    Cues::beats(0, $inhaleMs, $in, $count, $prescription->guidance->counting(Phase::Inhale)),
                    $place, announcesLast: $breath === $of && $of > 1,
                ),
                self::hum($prescription, $inhaleMs, $count, $top, $place),
            ]);
        }

        return $segments;
    }

    public function cycles(Prescription $prescription): array
    {
        return [Cycle::of(BreathPattern::of($prescription->parameter('inhale'), self::hums($prescription)), $prescription->countLength)];
    }

    private static function hum(Prescription $prescription, int $fromMs, float $countMs, float $top, Place $place): Cue
    {
        $counts = self::hums($prescription);
        $ms = (int) round($counts * $countMs);
        $beats = $prescription->hasOpenExhale()
            ? []
            : Cues::beats($fromMs, $ms, (int) $counts, $countMs, $prescription->guidance->counting(Phase::Exhale));

        return new Cue(
            CueKind::Hum, $fromMs, $ms, $prescription->hasOpenExhale() ? 'cue.hum' : 'cue.hum-counted', $top, 0.0, $beats, $place,
            greatestMs: $prescription->hasOpenExhale() ? self::GREATEST_MS : null,
        );
    }

    /** Counts of hum: as prescribed, or those for which room is planned. */
    private static function hums(Prescription $prescription): float
    {
        return $prescription->hasOpenExhale() ? (float) self::NOMINAL_COUNTS : $prescription->parameter('hum');
    }
}
