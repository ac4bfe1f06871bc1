<?php

declare(strict_types=1);

namespace App\Guard;

use PDOException;
use Throwable;

/** What the database will never have, however often it is tried: out of range, too long, no date, no text, not there. */
final class NoValue
{
    public static function is(Throwable $problem): bool
    {
        return $problem instanceof PDOException && preg_match('/^(22|23)/', (string) $problem->getCode()) === 1;
    }
}
