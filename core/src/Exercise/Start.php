<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** With what a counted exercise begins. Common practice. */
enum Start: string
{
    case Inhale = 'inhale';
    /** One exhale of the prescribed length comes before the first breath. */
    case Exhale = 'exhale';
    /** All the air goes first, without a count. */
    case Empty = 'empty';

    public function label(): string
    {
        return match ($this) {
            self::Inhale => 'with the inhale',
            self::Exhale => 'with an exhale',
            self::Empty => 'emptying first',
        };
    }
}
