<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\InvalidValue;

/** One breath in real time: a pattern at a count length, with everything that follows by arithmetic. */
final readonly class Cycle
{
    private function __construct(public BreathPattern $pattern, public CountLength $countLength)
    {
    }

    public static function of(BreathPattern $pattern, ?CountLength $countLength = null): self
    {
        return new self($pattern, $countLength ?? CountLength::standard());
    }

    /** Length of one phase in seconds. */
    public function phaseSeconds(Phase $phase): float
    {
        return $this->pattern->counts($phase)->toFloat() * $this->countLength->seconds + $this->pattern->softSeconds($phase);
    }

    /** Inhale and top-up together, in seconds. */
    public function inhaleSeconds(): float
    {
        return $this->phaseSeconds(Phase::Inhale) + $this->phaseSeconds(Phase::TopUp);
    }

    /** Length of the whole breath in seconds. */
    public function seconds(): float
    {
        return $this->pattern->totalCounts() * $this->countLength->seconds
            + $this->pattern->softHold + $this->pattern->softRest;
    }

    /** Breaths per minute. */
    public function rate(): float
    {
        return 60 / $this->seconds();
    }

    /** The x of I:E = 1 : x, exhale time over inhale time. */
    public function exhaleToInhale(): float
    {
        return $this->phaseSeconds(Phase::Exhale) / $this->inhaleSeconds();
    }

    /** Ti/Ttot, 0–1. */
    public function dutyCycle(): float
    {
        return $this->inhaleSeconds() / $this->seconds();
    }

    /** The part of the breath not spent inhaling, 0–1. */
    public function quietShare(): float
    {
        return 1 - $this->dutyCycle();
    }

    /** Length of a run of n breaths in seconds. */
    public function secondsFor(int $breaths): float
    {
        return $breaths * $this->seconds();
    }

    /**
     * The most whole breaths that fit into a time; a breath is never cut off.
     *
     * @param  float  $seconds  0 or more
     *
     * @throws InvalidValue when the time is negative
     */
    public function breathsIn(float $seconds): int
    {
        if (! ($seconds >= 0) || ! is_finite($seconds)) {
            throw InvalidValue::because('A time to fill with breaths cannot be negative.');
        }

        // A time that is an exact number of breaths must not lose one to the last bit of a float.
        return (int) floor($seconds / $this->seconds() + 1e-9);
    }
}
