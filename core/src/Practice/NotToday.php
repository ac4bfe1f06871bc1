<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

/** Why a practice is put off for today. It is not credited and not a miss without a word. */
enum NotToday: string
{
    case Tired = 'tired';
    case Busy = 'busy';
    case Ill = 'ill';
    case Symptoms = 'symptoms';

    public function label(): string
    {
        return match ($this) {
            self::Tired => 'tired', self::Busy => 'busy', self::Ill => 'ill', self::Symptoms => 'symptoms',
        };
    }
}
