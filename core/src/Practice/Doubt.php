<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;
use IvoryPace\Breath\Timeline\Tempo;

/**
 * Why a practice cannot have been as it was sent: a wrong clock, a stalled device, or somebody who tried. It is kept and
 * shown, and it is credited with nothing; a stop in it counts all the same.
 */
enum Doubt: string
{
    case TooFast = 'too-fast';
    case TooLong = 'too-long';
    case BeforeProgramme = 'before-programme';

    /** A device sends whole seconds, and a last breath may end early: so much is forgiven, in s. */
    private const FORGIVEN_S = 3;

    /** A practice may be left lying, and taken up again: so many times its length and so long besides, in s. */
    private const TIMES_LONGER = 3;

    private const LONGER_S = 3600;

    /** Zones and clocks: a practice may seem to lie so long before its version, in s. */
    private const EARLIER_S = 86_400;

    /**
     * @param  DateTimeImmutable  $inForceFrom  the beginning of the first day of the version
     * @param  int  $secondsDone  of breathing, 0 or more
     * @param  int  $leastMs  that the breaths done take as prescribed; half of it is the fastest that anyone is led
     * @param  int  $secondsPrescribed  more than 0
     */
    public static function of(
        DateTimeImmutable $startedAt,
        DateTimeImmutable $endedAt,
        DateTimeImmutable $inForceFrom,
        int $secondsDone,
        int $leastMs,
        int $secondsPrescribed,
    ): ?self {
        $elapsed = $endedAt->getTimestamp() - $startedAt->getTimestamp();

        return match (true) {
            $inForceFrom->getTimestamp() - $startedAt->getTimestamp() > self::EARLIER_S => self::BeforeProgramme,
            min($elapsed, $secondsDone) + self::FORGIVEN_S < Tempo::MIN * $leastMs / 1000 => self::TooFast,
            $elapsed > self::TIMES_LONGER * $secondsPrescribed + self::LONGER_S => self::TooLong,
            default => null,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::TooFast => 'faster than anyone can have breathed',
            self::TooLong => 'far longer than it can have taken',
            self::BeforeProgramme => 'before this was prescribed',
        };
    }
}
