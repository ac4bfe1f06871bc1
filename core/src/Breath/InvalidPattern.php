<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\InvalidValue;

/** A ratio that cannot be read or breathed. */
final class InvalidPattern extends InvalidValue
{
    private const EXAMPLE = 'Write it like 4:5, 4:7:8 or 4:0:5:1.';

    public static function saying(string $what): self
    {
        return new self($what.' '.self::EXAMPLE);
    }
}
