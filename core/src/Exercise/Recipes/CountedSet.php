<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\BreathPattern;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Cycle;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;
use IvoryPace\Exercise\Told\Worded;
use LogicException;

/** A set of equal counted breaths, with what a technique puts before it, and free breathing after it where it is prescribed. */
final readonly class CountedSet implements Recipe
{
    private const MOVE_MS = 10_000;

    /**
     * @param  array<string, string>  $hows  translation key of how a phase is done, by phase
     * @param  float  $catch  counts of a catch before a top-up, taken from the end of the inhale
     * @param  list<string>  $prelude  translation keys of slow movements before, each 10 s
     */
    public function __construct(private array $hows = [], private float $catch = 0.0, private array $prelude = [])
    {
    }

    public function segments(Prescription $prescription): array
    {
        $cycle = $this->cycles($prescription)[0];
        $segments = [];
        // Nobody rolls the shoulders lying on them.
        $moves = ! $prescription->position->isLying() && ($prescription->parameters['prelude'] ?? 1.0) === 1.0;
        if ($this->prelude !== [] && $moves) {
            $segments[] = new Segment(SegmentRole::Settle, array_map(
                fn (string $key, int $turn) => new Cue(CueKind::Move, $turn * self::MOVE_MS, self::MOVE_MS, $key),
                $this->prelude, array_keys($this->prelude),
            ));
        }
        array_push($segments, ...Cues::opening($prescription, $cycle));
        $segments[] = Cues::set($prescription, $cycle, $this->hows, $this->catch)->compile((int) $prescription->breaths);
        $minutes = $prescription->parameters['free'] ?? 0.0;
        if ($minutes > 0) {
            $segments[] = Cues::free($minutes, Worded::keys($prescription->technique->teaching->attention, $prescription));
        }

        return $segments;
    }

    public function cycles(Prescription $prescription): array
    {
        return [Cycle::of(self::patternOf($prescription), $prescription->countLength)];
    }

    public static function patternOf(Prescription $prescription): BreathPattern
    {
        return $prescription->pattern ?? throw new LogicException("{$prescription->technique->key} has no ratio.");
    }
}
