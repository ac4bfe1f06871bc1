<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Patient;
use App\Models\RaisedRedFlag;
use IvoryPace\Safety\RedFlag;

/** What must be settled before a programme can be issued. */
final class Safeguards
{
    /** Why nothing can be issued yet; null when nothing is in the way. */
    public static function obstacle(Patient $patient): ?string
    {
        $open = self::openRedFlags($patient);

        return match (true) {
            $open !== [] => 'A red flag is open: '.implode(', ', array_map(fn (RedFlag $flag) => $flag->label(), $open)).'. Record what was done about it first.',
            $patient->latestScreening === null => 'The screening is not complete. No programme can be issued before it.',
            default => null,
        };
    }

    /** @return list<RedFlag> without a recorded action */
    public static function openRedFlags(Patient $patient): array
    {
        return array_values($patient->openRedFlags->map(fn (RaisedRedFlag $raised) => $raised->flag)->all());
    }
}
