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

/** On the floor or folded forward, when the floor cannot be reached, or with vertigo, glaucoma or retina. Common practice. */
final class FloorOrForward implements Rule
{
    public function id(): string
    {
        return 'FLOOR-OR-FORWARD';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $position = $item->prescription->position;
        $flags = $patient->which([Flag::CannotReachFloor, Flag::Vertigo, Flag::Eye]);
        if ($flags === [] || ! ($position->needsFloor() || $position->isHeadDown())) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'On the floor',
            ucfirst($position->label()).', with '.Words::list($flags).'.',
            'position', PositionChanges::to($item, [Position::Seated, Position::SeatedForward]), 'Common practice.',
        );
    }
}
