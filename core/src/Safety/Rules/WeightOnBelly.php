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

/** A weight on the belly in pregnancy, after abdominal surgery or with a hernia. Common practice. */
final class WeightOnBelly implements Rule
{
    public function id(): string
    {
        return 'WEIGHT-ON-BELLY';
    }

    public function level(): Level
    {
        return Level::NeedsReason;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([Flag::Pregnancy, Flag::RecentAbdominalSurgery, Flag::Hernia]);
        $weight = $item->prescription->parameters['weight'] ?? 0.0;
        if ($flags === [] || $weight <= 0) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Weight on the belly', Words::number($weight).' kg, with '.Words::list($flags).'.', 'technique',
            [OtherTechnique::plain($item, 'hands only: diaphragmatic breathing')], 'Common practice.',
        );
    }
}
