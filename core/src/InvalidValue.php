<?php

declare(strict_types=1);

namespace IvoryPace;

use InvalidArgumentException;

/**
 * A value that the job cannot work with. The message is written for the practitioner who typed it:
 * it names the bad value and says what would be right.
 */
class InvalidValue extends InvalidArgumentException
{
    public static function because(string $message): self
    {
        return new self($message);
    }
}
