<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** A hold or rest over 10 s with a flag against breath-holding needs a reason. Common practice. */
final class HoldLong implements Rule
{
    public function id(): string
    {
        return 'HOLD-LONG';
    }

    public function level(): Level
    {
        return Level::NeedsReason;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $cycle = $item->prescription->longestCycle();
        $flags = $patient->which(Flag::againstHolding());
        if ($cycle === null || $flags === [] || HoldChanges::longestPause($cycle) <= HoldChanges::LONG + 1e-9) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Long pause in the breath',
            'A pause of '.Words::number(HoldChanges::longestPause($cycle)).' s, with '.Words::list($flags).'.',
            HoldChanges::field($cycle), [...HoldChanges::for($cycle), ...EasierChanges::for($item)], 'Common practice.',
        );
    }
}
