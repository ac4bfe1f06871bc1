<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\Counting;
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
 * Rounds of a set, one more inhale, about 70 % of it out, a retention that is counted down, and the release of the rest.
 *
 * The partial exhale takes 70 % of the inhale's time and the release the other 30 %.
 */
final readonly class RoundsWithRetention implements Recipe
{
    private const PARTIAL = 0.7;

    public function segments(Prescription $prescription): array
    {
        $cycle = $this->cycles($prescription)[0];
        $rounds = (int) $prescription->parameter('rounds');
        $breaths = (int) $prescription->breaths;
        $set = Cues::set(
            $prescription, $cycle, [Phase::Inhale->value => 'cue.belly-then-chest', Phase::Exhale->value => 'cue.let-go-easy'],
        );
        $segments = [Cues::leadIn($cycle)];
        for ($round = 1; $round <= $rounds; $round++) {
            $segments[] = $set->compile($breaths, new Place(round: $round), ($round - 1) * $breaths, $rounds * $breaths);
            $segments[] = $this->retention($prescription, $cycle, new Place(round: $round));
        }

        return $segments;
    }

    public function cycles(Prescription $prescription): array
    {
        return [Cycle::of(CountedSet::patternOf($prescription), $prescription->countLength)];
    }

    private function retention(Prescription $prescription, Cycle $cycle, Place $place): Segment
    {
        $inhale = $cycle->inhaleSeconds() * 1000;
        $hold = $prescription->retentionSeconds() * 1000;
        $top = $prescription->effort->top();
        $bottom = $prescription->effort->bottom();
        $left = $bottom + ($top - $bottom) * (1 - self::PARTIAL);
        $ends = array_map(fn (float $ms) => (int) round($ms), [
            $inhale, $inhale * (1 + self::PARTIAL), $inhale * (1 + self::PARTIAL) + $hold, $inhale * 2 + $hold,
        ]);
        $beats = Cues::beats(...);

        return new Segment(SegmentRole::Exercise, [
            new Cue(CueKind::Inhale, 0, $ends[0], 'cue.one-more', $bottom, $top, $beats(
                0, $ends[0], (int) ceil($cycle->pattern->inhale->toFloat()), $cycle->countLength->seconds * 1000,
                $prescription->guidance->counting(Phase::Inhale),
            ), $place),
            new Cue(CueKind::Exhale, $ends[0], $ends[1] - $ends[0], 'cue.most-of-it', $top, $left, place: $place),
            new Cue(CueKind::Retention, $ends[1], $ends[2] - $ends[1], 'cue.retention', $left, $left, $beats(
                $ends[1], $ends[2] - $ends[1], (int) ceil($hold / 1000), 1000.0, Counting::Down,
            ), $place),
            new Cue(CueKind::Release, $ends[2], $ends[3] - $ends[2], 'cue.release', $left, $bottom, place: $place),
        ]);
    }
}
