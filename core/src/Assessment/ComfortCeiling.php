<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/**
 * The longest even breath that is still easy: breaths grow by a count until the patient says that it stops being easy.
 * Common practice.
 */
final readonly class ComfortCeiling
{
    public const FIRST_COUNTS = 3;

    public const LONGEST_COUNTS = 8;

    private function __construct(public int $counts, public float $countSeconds)
    {
    }

    /**
     * @param  int  $counts  1–20 for the inhale, the same for the exhale
     * @param  float  $countSeconds  0.3–3
     *
     * @throws InvalidValue
     */
    public static function of(int $counts, float $countSeconds): self
    {
        if ($counts < 1 || $counts > 20) {
            throw InvalidValue::because("$counts counts is outside 1 to 20.");
        }
        if ($countSeconds < 0.3 || $countSeconds > 3) {
            throw InvalidValue::because("$countSeconds seconds a count is outside 0.3 to 3.");
        }

        return new self($counts, $countSeconds);
    }

    /**
     * The length before the one at which it stopped being easy.
     *
     * @param  int  $step  from 1: the length that was going on; one more than there are when all of them were easy
     *
     * @throws InvalidValue
     */
    public static function stoppedIn(int $step, float $countSeconds): self
    {
        return self::of(self::FIRST_COUNTS + max(1, $step) - 2, $countSeconds);
    }

    /** Of an inhale, and of an exhale. */
    public function seconds(): float
    {
        return $this->counts * $this->countSeconds;
    }

    /** "5:5 at 1 s". */
    public function inWords(): string
    {
        return "{$this->counts}:{$this->counts} at ".Numbers::print($this->countSeconds, 2).' s';
    }
}
