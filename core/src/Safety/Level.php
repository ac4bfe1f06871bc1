<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

/** How grave a finding is. */
enum Level: string
{
    case Note = 'note';
    case Caution = 'caution';
    case NeedsReason = 'needs-reason';

    public function rank(): int
    {
        return match ($this) {
            self::Note => 1,
            self::Caution => 2,
            self::NeedsReason => 3,
        };
    }
}
