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
use IvoryPace\Exercise\Told\Worded;

/**
 * A counted inhale into the hands, a passive exhale to the resting level (functional residual capacity), then a hum of
 * what is left below it, as long as is comfortable. The next inhale starts from where the hum ended.
 */
final readonly class PassiveThenHum implements Recipe
{
    private const PASSIVE_COUNTS = 3;

    private const HUM_COUNTS = 4;

    private const GREATEST_MS = 20_000;

    public function segments(Prescription $prescription): array
    {
        $cycle = $this->cycles($prescription)[0];
        $count = $cycle->countLength->seconds * 1000;
        $in = (int) $prescription->parameter('inhale');
        $of = (int) $prescription->breaths;
        $top = $prescription->effort->top();
        $low = $prescription->effort->bottom();
        $isOpen = $prescription->hasOpenExhale();
        $hums = self::hums($prescription);
        $segments = Cues::opening($prescription, $cycle);
        for ($breath = 1; $breath <= $of; $breath++) {
            $place = new Place(breath: $breath, ofBreaths: $of);
            $inhaleMs = (int) round($in * $count);
            $passiveMs = (int) round(self::PASSIVE_COUNTS * $count);
            $segments[] = new Segment(SegmentRole::Exercise, [
                new Cue(
                    CueKind::Inhale, 0, $inhaleMs, 'cue.inhale.'.$prescription->routeIn->value, $breath === 1 ? 0.0 : $low, $top,
                    Cues::beats(0, $inhaleMs, $in, $count, $prescription->guidance->counting(Phase::Inhale)), $place,
                    announcesLast: $breath === $of && $of > 1, how: Worded::key('cue.how.into-hands', $prescription),
                ),
                new Cue(CueKind::Exhale, $inhaleMs, $passiveMs, 'cue.exhale.nose', $top, 0.0, place: $place, how: 'cue.how.falling'),
                new Cue(
                    CueKind::Hum, $inhaleMs + $passiveMs, (int) round($hums * $count),
                    $isOpen ? 'cue.hum-remainder' : 'cue.hum-remainder-counted', 0.0, $low,
                    $isOpen
                        ? []
                        : Cues::beats(
                            $inhaleMs + $passiveMs, (int) round($hums * $count), (int) $hums, $count,
                            $prescription->guidance->counting(Phase::Exhale),
                        ),
                    $place, greatestMs: $isOpen ? self::GREATEST_MS : null,
                ),
            ]);
        }

        return $segments;
    }

    public function cycles(Prescription $prescription): array
    {
        return [
            Cycle::of(
                BreathPattern::of($prescription->parameter('inhale'), self::PASSIVE_COUNTS + self::hums($prescription)),
                $prescription->countLength,
            ),
        ];
    }

    /** Counts of hum: as prescribed, or those for which room is planned. */
    private static function hums(Prescription $prescription): float
    {
        return $prescription->hasOpenExhale() ? (float) self::HUM_COUNTS : $prescription->parameter('hum');
    }
}
