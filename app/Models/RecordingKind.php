<?php

declare(strict_types=1);

namespace App\Models;

/** What was going on while a recording was made. */
enum RecordingKind: string
{
    case Practice = 'practice';
    case Quiet = 'quiet';
    case Led = 'led';
    case Pace = 'pace';
    case Hold = 'hold';
    case File = 'file';

    /** Measured by devices of the room, while the practitioner is there. */
    public function isOfTheRoom(): bool
    {
        return in_array($this, [self::Quiet, self::Led, self::Pace, self::Hold], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Practice => 'Practice at home',
            self::Quiet => 'Quiet minute',
            self::Led => 'Led breath',
            self::Pace => 'Comparison of paces',
            self::Hold => 'Watched hold',
            self::File => 'From a file',
        };
    }
}
