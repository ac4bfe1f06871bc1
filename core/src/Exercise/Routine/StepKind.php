<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Routine;

enum StepKind: string
{
    case Settle = 'settle';
    case Exercise = 'exercise';
    /** Breathing freely for a while. */
    case Free = 'free';
    /** Rolling to one side and sitting up slowly. */
    case Return = 'return';

    public function label(): string
    {
        return match ($this) {
            self::Settle => 'settle in',
            self::Exercise => 'exercise',
            self::Free => 'breathe freely',
            self::Return => 'return from lying',
        };
    }
}
