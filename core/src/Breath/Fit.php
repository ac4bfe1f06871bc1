<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

/** The answer to fitting a ratio to a patient's comfortable limits. */
final readonly class Fit
{
    /**
     * @param  float  $countSeconds  the exact count length, possibly outside what the pacer plays
     * @param  BreathPattern|null  $nearest  the nearest ratio that suits; the pattern itself when it does
     */
    public function __construct(
        public BreathPattern $pattern,
        public float $countSeconds,
        public Phase $limiting,
        public ?BreathPattern $nearest = null,
    ) {
    }

    /** False when the count would have to be so short that the ratio does not suit this patient yet. */
    public function suits(): bool
    {
        return $this->countSeconds >= Fitting::SHORTEST_SENSIBLE_COUNT - 1e-9;
    }

    /** The breath at the fitted count length, capped at the longest count that the pacer plays. */
    public function cycle(): Cycle
    {
        return Cycle::of($this->pattern, CountLength::seconds(min($this->countSeconds, CountLength::MAX)));
    }
}
