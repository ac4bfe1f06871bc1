<?php

declare(strict_types=1);

namespace App\Records;

use RuntimeException;

/** A record file that cannot be read in, with what is wrong and where. Nothing of it is stored. */
final class BadRecord extends RuntimeException
{
    public static function because(string $why): self
    {
        return new self($why);
    }
}
