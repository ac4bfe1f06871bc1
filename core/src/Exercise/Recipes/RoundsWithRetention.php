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
use IvoryPace\Exercise\Route;

/**
 * Rounds of a set, one more inhale, about 70 % of it out, a retention that is counted down or ended by a tap, and the
 * release of the rest.
 *
 * The partial exhale takes 70 % of the inhale's time and the release the other 30 %.
 */
final readonly class RoundsWithRetention implements Recipe
{
    public const ON_A_TAP = 2;

    private const PARTIAL = 0.7;

    public function segments(Prescription $prescription): array
    {
        $cycle = $this->cycles($prescription)[0];
        $rounds = (int) $prescription->parameter('rounds');
        $breaths = (int) $prescription->breaths;
        $set = Cues::set(
            $prescription, $cycle, [Phase::Inhale->value => 'cue.how.belly-then-chest', Phase::Exhale->value => 'cue.how.let-go'],
        );
        $segments = Cues::opening($prescription, $cycle);
        for ($round = 1; $round <= $rounds; $round++) {
            $segments[] = $set->compile($breaths, new Place(round: $round), ($round - 1) * $breaths, $rounds * $breaths);
            array_push($segments, ...$this->retention($prescription, $cycle, new Place(round: $round)));
        }

        return $segments;
    }

    public function cycles(Prescription $prescription): array
    {
        return [Cycle::of(CountedSet::patternOf($prescription), $prescription->countLength)];
    }

    /** @return list<Segment> one, or two where the patient ends the retention with a tap */
    private function retention(Prescription $prescription, Cycle $cycle, Place $place): array
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

        $isOpen = (int) $prescription->parameter('retention-ends') === self::ON_A_TAP;
        $route = fn (string $phase, Route $route) => "cue.$phase.{$route->value}";
        $retained = [
            new Cue(CueKind::Inhale, 0, $ends[0], $route('inhale', $prescription->routeIn), $bottom, $top, $beats(
                0, $ends[0], (int) ceil($cycle->pattern->inhale->toFloat()), $cycle->countLength->seconds * 1000,
                $prescription->guidance->counting(Phase::Inhale),
            ), $place, how: 'cue.how.one-more'),
            new Cue(
                CueKind::Exhale, $ends[0], $ends[1] - $ends[0], $route('exhale', $prescription->routeOut), $top, $left, place: $place,
                how: 'cue.how.most-of-it',
            ),
            new Cue(
                CueKind::Retention, $ends[1], $ends[2] - $ends[1], $isOpen ? 'cue.retention-open' : 'cue.retention', $left, $left,
                $isOpen ? [] : $beats($ends[1], $ends[2] - $ends[1], (int) ceil($hold / 1000), 1000.0, Counting::Down), $place,
                greatestMs: $isOpen ? $ends[2] - $ends[1] : null,
            ),
        ];
        $release = fn (int $at) => new Cue(
            CueKind::Release, $at, $ends[3] - $ends[2], $route('exhale', $prescription->routeOut), $left, $bottom, place: $place,
            how: 'cue.how.the-rest',
        );

        return $isOpen
            ? [new Segment(SegmentRole::Exercise, $retained), new Segment(SegmentRole::Exercise, [$release(0)])]
            : [new Segment(SegmentRole::Exercise, [...$retained, $release($ends[2])])];
    }
}
