<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Median;

/**
 * How a rating was at first and how it is lately, for the patient: the medians of the first and the last rated days, up
 * to seven of each, which never overlap. Common practice.
 */
final readonly class ThenNow
{
    /** Rated days that it takes at least. */
    public const LEAST = 4;

    private const WINDOW = 7;

    /** Points on 0–10 from which a change is called one. */
    private const CLEAR = 2.0;

    private function __construct(public float $then, public float $now, public int $days)
    {
    }

    /**
     * @param  list<int|float>  $ratings  0–10, one a day, oldest first
     * @return self|null null when there are too few to say anything
     */
    public static function of(array $ratings): ?self
    {
        if (count($ratings) < self::LEAST) {
            return null;
        }
        $days = min(self::WINDOW, intdiv(count($ratings), 2));

        return new self(Median::of(array_slice($ratings, 0, $days)), Median::of(array_slice($ratings, -$days)), $days);
    }

    /** -1 lower, 1 higher, 0 about the same. */
    public function direction(): int
    {
        return abs($this->now - $this->then) < self::CLEAR ? 0 : ($this->now <=> $this->then);
    }
}
