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

/** A hold or rest over 2 s and up to 10 s with a flag against breath-holding. Common practice. */
final class HoldModerate implements Rule
{
    public function id(): string
    {
        return 'HOLD-MODERATE';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $cycle = $item->prescription->longestCycle();
        $flags = $patient->which(Flag::againstHolding());
        if ($cycle === null || $flags === []) {
            return null;
        }
        $pause = HoldChanges::longestPause($cycle);
        if ($pause <= HoldChanges::SHORT + 1e-9 || $pause > HoldChanges::LONG + 1e-9) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Pause of '.Words::number($pause).' s',
            'Over 2 s, with '.Words::list($flags).'.',
            HoldChanges::field($cycle), [...HoldChanges::for($cycle), ...EasierChanges::for($item)], 'Common practice.',
        );
    }
}
