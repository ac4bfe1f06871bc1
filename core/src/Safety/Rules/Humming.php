<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Route;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** Humming with an infected ear or sinus, or after ear surgery. Common practice. */
final class Humming implements Rule
{
    public function id(): string
    {
        return 'HUMMING';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([Flag::SinusOrEarInfection, Flag::RecentEarSurgery]);
        if ($flags === [] || $item->prescription->routeOut !== Route::Hum) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Humming', 'With '.Words::list($flags).'.', 'route_out',
            [OtherTechnique::extendedExhale($item, 'a silent exhale: extended exhale'), ...EasierChanges::for($item)], 'Common practice.',
        );
    }
}
