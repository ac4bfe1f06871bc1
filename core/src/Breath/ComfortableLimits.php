<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\InvalidValue;

/**
 * The longest inhale, hold and exhale that a patient was measured to do comfortably, in seconds. A rest is held to the limit of the hold.
 */
final readonly class ComfortableLimits
{
    /** @throws InvalidValue when a limit is not between 0 and 120 s */
    public function __construct(
        public ?float $inhale = null,
        public ?float $hold = null,
        public ?float $exhale = null,
    ) {
        foreach (['inhale' => $inhale, 'hold' => $hold, 'exhale' => $exhale] as $name => $seconds) {
            if ($seconds !== null && ! ($seconds > 0 && $seconds <= 120)) {
                throw InvalidValue::because("A comfortable $name of $seconds s is outside 0 to 120 s.");
            }
        }
    }

    /** Seconds, or null where nothing was measured. */
    public function of(Phase $phase): ?float
    {
        return match ($phase) {
            Phase::Inhale, Phase::TopUp => $this->inhale,
            // Nobody measures a rest; ten seconds with empty lungs are no gentler than with full ones.
            Phase::Hold, Phase::Rest => $this->hold,
            Phase::Exhale => $this->exhale,
        };
    }

    /**
     * A share of each limit.
     *
     * @param  float  $share  more than 0, at most 1
     */
    public function times(float $share): self
    {
        $of = fn (?float $seconds) => $seconds === null ? null : $seconds * $share;

        return new self($of($this->inhale), $of($this->hold), $of($this->exhale));
    }

    /** The same with inhale and exhale no longer than a comfort ceiling, where there is one. */
    public function under(?float $ceiling): self
    {
        $least = fn (?float $seconds) => $seconds === null || $ceiling === null ? ($seconds ?? $ceiling) : min($seconds, $ceiling);

        return new self($least($this->inhale), $this->hold, $least($this->exhale));
    }

    /** True when nothing was measured. */
    public function areUnknown(): bool
    {
        return $this->inhale === null && $this->hold === null && $this->exhale === null;
    }
}
