<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Position;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** Lying on the front with a neck injury or reflux. Common practice. */
final class ProneNeck implements Rule
{
    public function id(): string
    {
        return 'PRONE-NECK';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([Flag::NeckInjury, Flag::Reflux]);
        if ($flags === [] || $item->prescription->position !== Position::Prone) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Lying on the front', 'With '.Words::list($flags).'.', 'position',
            PositionChanges::to($item, [Position::Supine, Position::Reclined]), 'Common practice.',
        );
    }
}
