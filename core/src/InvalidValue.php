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
    /** Signs of what was typed that a message repeats: enough to find it again. */
    private const MOST_QUOTED = 40;

    public static function because(string $message): self
    {
        return new self($message);
    }

    /** What was typed, in quotation marks, and shortened. */
    public static function quoted(string $typed): string
    {
        return '“'.(mb_strlen($typed) > self::MOST_QUOTED ? mb_substr($typed, 0, self::MOST_QUOTED).'…' : $typed).'”';
    }
}
