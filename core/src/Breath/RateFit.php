<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

/** The answer to fitting a ratio to a rate. */
final readonly class RateFit
{
    /**
     * @param  float  $countSeconds  count length that is played, 0.4–2.0 s
     * @param  float  $rate  breaths per minute that it gives
     * @param  string|null  $reason  why it is not the rate that was asked for; null when it is
     */
    public function __construct(public float $countSeconds, public float $rate, public ?string $reason)
    {
    }
}
