<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Ladder;

/** What one step of a ladder changes; a step changes nothing else. */
enum LadderAxis: string
{
    case Position = 'position';
    case Ratio = 'ratio';
    case Count = 'count';
    case Repeats = 'repeats';
    case Minutes = 'minutes';
    case Parameter = 'parameter';

    public function label(): string
    {
        return match ($this) {
            self::Position => 'position',
            self::Ratio => 'ratio',
            self::Count => 'seconds a count',
            self::Repeats => 'how many',
            self::Minutes => 'minutes',
            self::Parameter => 'steps',
        };
    }
}
