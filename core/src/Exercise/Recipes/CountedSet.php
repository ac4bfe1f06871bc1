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
use LogicException;

/** A set of equal counted breaths, with what a technique puts before and after it. */
final readonly class CountedSet implements Recipe
{
    private const EMPTY_MS = 4_000;

    private const MOVE_MS = 10_000;

    /**
     * @param  array<string, string>  $instructions  by phase, over the usual ones
     * @param  float  $catch  counts of a catch before a top-up, taken from the end of the inhale
     * @param  bool  $emptyFirst  begins by letting all the air out
     * @param  list<string>  $prelude  translation keys of slow movements before, each 10 s
     * @param  float  $freeAfter  minutes of uncounted breathing after the set
     */
    public function __construct(
        private array $instructions = [],
        private float $catch = 0.0,
        private bool $emptyFirst = false,
        private array $prelude = [],
        private float $freeAfter = 0.0,
    ) {
    }

    public function segments(Prescription $prescription): array
    {
        $cycle = $this->cycles($prescription)[0];
        $segments = [];
        if ($this->prelude !== [] && ($prescription->parameters['prelude'] ?? 1.0) === 1.0) {
            $segments[] = new Segment(SegmentRole::Settle, array_map(
                fn (string $key, int $turn) => new Cue(CueKind::Move, $turn * self::MOVE_MS, self::MOVE_MS, $key),
                $this->prelude, array_keys($this->prelude),
            ));
        }
        $segments[] = Cues::leadIn($cycle);
        if ($this->emptyFirst) {
            $segments[] = new Segment(SegmentRole::LeadIn, [new Cue(CueKind::Empty, 0, self::EMPTY_MS, 'cue.empty')]);
        }
        $segments[] = Cues::set($prescription, $cycle, $this->instructions, $this->catch)->compile((int) $prescription->breaths);
        if ($this->freeAfter > 0) {
            $segments[] = Cues::free($this->freeAfter, $prescription->technique->teaching->attention);
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
