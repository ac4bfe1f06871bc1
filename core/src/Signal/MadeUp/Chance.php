<?php

declare(strict_types=1);

namespace IvoryPace\Signal\MadeUp;

/**
 * Numbers that look like chance and are the same for the same seed, everywhere: Park and Miller's generator (Commun ACM
 * 1988;31:1192–1201), and Box and Muller's normal numbers. For made-up recordings only.
 */
final class Chance
{
    private const MODULUS = 2_147_483_647;

    private const FACTOR = 48_271;

    private int $state;

    public function __construct(int $seed)
    {
        $this->state = 1 + abs($seed) % (self::MODULUS - 1);
        // The first numbers of neighbouring seeds are neighbours.
        for ($n = 0; $n < 8; $n++) {
            $this->between(0, 1);
        }
    }

    public function between(float $from, float $to): float
    {
        $this->state = $this->state * self::FACTOR % self::MODULUS;

        return $from + ($to - $from) * $this->state / self::MODULUS;
    }

    /** Mean 0, deviation 1. */
    public function normal(): float
    {
        return sqrt(-2 * log($this->between(0, 1))) * cos(2 * M_PI * $this->between(0, 1));
    }
}
