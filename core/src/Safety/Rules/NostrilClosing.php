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

/** Closing a nostril with a blocked nose or hands that cannot. Common practice. */
final class NostrilClosing implements Rule
{
    public function id(): string
    {
        return 'NOSTRIL-CLOSING';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([Flag::BlockedNose, Flag::HandTrouble]);
        if ($flags === [] || ! $item->prescription->technique->closesNostril) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Closing a nostril', 'With '.Words::list($flags).'.', 'technique',
            [
                OtherTechnique::extendedExhale($item, 'extended exhale instead'),
                ...EasierChanges::for($item),
            ],
            'Common practice.',
        );
    }
}
