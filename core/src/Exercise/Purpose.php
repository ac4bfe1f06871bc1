<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** What a technique is used for. Common practice; no claim that it works for everyone. */
enum Purpose: string
{
    case Learning = 'learning';
    case Settling = 'settling';
    case Sleep = 'sleep';
    case Breathlessness = 'breathlessness';
    case Pressure = 'pressure';
    case Trunk = 'trunk';
    case Attention = 'attention';
    case Moving = 'moving';

    public function label(): string
    {
        return match ($this) {
            self::Learning => 'learning to breathe low and easy',
            self::Settling => 'settling down',
            self::Sleep => 'falling asleep',
            self::Breathlessness => 'short of breath',
            self::Pressure => 'before or in something demanding',
            self::Trunk => 'trunk and ribs',
            self::Attention => 'attention',
            self::Moving => 'moving and walking',
        };
    }
}
