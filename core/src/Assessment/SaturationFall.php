<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;

/** How far the oxygen saturation fell during a hold or a retention. Limits are common practice. */
final readonly class SaturationFall
{
    /** Points from which a fall says something, when it lasts. */
    private const POINTS = 4.0;

    private const SECONDS = 5.0;

    private const LOWEST = 88.0;

    /**
     * @param  float  $from  % before the hold
     * @param  float  $lowest  % at the lowest
     * @param  float  $seconds  for which it was at least 4 points below
     * @param  float|null  $ownLow  lower end of the patient's own recorded range, %
     *
     * @throws InvalidValue
     */
    public function __construct(public float $from, public float $lowest, public float $seconds, public ?float $ownLow = null)
    {
        if (! ($lowest >= 50 && $from <= 100 && $lowest <= $from)) {
            throw InvalidValue::because("A saturation cannot fall from $from % to $lowest %.");
        }
        if (! ($seconds >= 0 && $seconds <= 600)) {
            throw InvalidValue::because("A fall of $seconds s is outside 0 to 600 s.");
        }
    }

    public function points(): float
    {
        return $this->from - $this->lowest;
    }

    /** To 88 % or less, or to 4 points below what is usual for the patient. */
    public function isDeep(): bool
    {
        return $this->lowest <= self::LOWEST || ($this->ownLow !== null && $this->lowest <= $this->ownLow - self::POINTS);
    }

    /** By 4 points or more, for 5 s or longer. */
    public function isLasting(): bool
    {
        return $this->points() >= self::POINTS - 1e-9 && $this->seconds >= self::SECONDS - 1e-9;
    }
}
