<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** What a clinic calls a counted breath of its own, and what right looks like, in its own words. */
final readonly class Own
{
    public const MAX_NAME = 40;

    public const MAX_RIGHT = 160;

    public function __construct(public string $name, public string $right)
    {
    }
}
