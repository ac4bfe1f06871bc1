<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Patient;
use App\Models\ScreeningAnswer;
use IvoryPace\Safety\RedFlag;

/** What must be settled before a programme can be issued. */
final class Safeguards
{
    /** Why nothing can be issued yet; null when nothing is in the way. */
    public static function obstacle(Patient $patient): ?string
    {
        if ($patient->latestScreening === null) {
            return 'The screening is not complete. No programme can be issued before it.';
        }
        $open = self::openRedFlags($patient);

        return $open === [] ? null
            : 'A red flag is open: '.implode(', ', array_map(fn (RedFlag $flag) => $flag->label(), $open)).'. Record what was done about it first.';
    }

    /** @return list<RedFlag> answered yes in the latest screening, without a recorded action */
    public static function openRedFlags(Patient $patient): array
    {
        $open = [];
        foreach ($patient->latestScreening->answers ?? [] as $answer) {
            if (self::isOpen($answer)) {
                $open[] = $answer->redFlag();
            }
        }

        return array_values(array_filter($open));
    }

    public static function isOpen(ScreeningAnswer $answer): bool
    {
        return $answer->answer && $answer->redFlag() !== null && $answer->actions->isEmpty();
    }
}
