<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

/** How far one practice was followed, by what a device measured. */
final readonly class Felt
{
    /**
     * @param  int  $followed  breaths
     * @param  int  $seen  of how many that could be told
     * @param  float|null  $lag  s by which they were begun late, in the middle
     * @param  float|null  $ratio  exhale over inhale as a part of what was led, in the middle
     */
    private function __construct(public int $followed, public int $seen, public ?float $lag, public ?float $ratio)
    {
    }

    /** Null when nothing can be told of most of the breaths that were led. */
    public static function of(?int $followed, ?int $seen, ?int $led, ?float $lag, ?float $ratio): ?self
    {
        return $followed === null || $seen === null || $seen < 1 || 2 * $seen < $led ? null : new self($followed, $seen, $lag, $ratio);
    }

    public function share(): float
    {
        return $this->followed / $this->seen;
    }
}
