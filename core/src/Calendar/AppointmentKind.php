<?php

declare(strict_types=1);

namespace IvoryPace\Calendar;

/** What an appointment is for. Lengths are common practice; a clinic enters its own. */
enum AppointmentKind: string
{
    case First = 'first';
    case Review = 'review';
    case Remote = 'remote';

    public function label(): string
    {
        return match ($this) {
            self::First => 'first',
            self::Review => 'review',
            self::Remote => 'remote',
        };
    }

    /** @return int minutes, where a clinic has said nothing else */
    public function usualMinutes(): int
    {
        return match ($this) {
            self::First => 60,
            self::Review => 45,
            self::Remote => 30,
        };
    }
}
