<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

use IvoryPace\Breath\Counting;
use IvoryPace\Breath\Phase;
use IvoryPace\Breath\Timeline\Tempo;

/** How a patient is led through an exercise: counting, cue words, what fades, and how far the pace may be changed. */
final readonly class Guidance
{
    /**
     * @param  array<string, Counting>  $counting  by phase; phases that are missing are counted up
     * @param  bool  $cueWord  the first beat of a phase says its word in place of "one"
     */
    public function __construct(
        public array $counting = [],
        public bool $cueWord = false,
        public Fade $fade = Fade::Nothing,
        public Tempo $tempo = new Tempo,
    ) {
    }

    public function counting(Phase $phase): Counting
    {
        // A top-up goes on where the inhale is.
        return $this->counting[($phase === Phase::TopUp ? Phase::Inhale : $phase)->value] ?? Counting::Up;
    }
}
