<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** Where the air goes. */
enum Route: string
{
    case Nose = 'nose';
    case Mouth = 'mouth';
    case PursedLips = 'pursed-lips';
    case SoftOpenMouth = 'soft-open-mouth';
    case Hum = 'hum';

    /** True when the air leaves by the mouth, so that it can be seen. */
    public function isByMouth(): bool
    {
        return in_array($this, [self::Mouth, self::PursedLips, self::SoftOpenMouth], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Nose => 'the nose',
            self::Mouth => 'the mouth',
            self::PursedLips => 'pursed lips',
            self::SoftOpenMouth => 'a softly open mouth',
            self::Hum => 'humming',
        };
    }
}
