<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Route;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** A complete exhale with air trapping, pressure in the belly, or a heart flag. Common practice. */
final class CompleteExhale implements Rule
{
    public function id(): string
    {
        return 'EXHALE-COMPLETE';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([
            Flag::Copd, Flag::Asthma, Flag::RecentBirth, Flag::PelvicFloor, Flag::Hernia, Flag::HighBloodPressure,
            Flag::Reflux, ...Flag::heart(),
        ]);
        if ($flags === [] || $item->prescription->effort !== Effort::Complete) {
            return null;
        }
        $gentle = Effort::Gentle->value;

        return new Finding(
            $this->id(), $this->level(), 'Complete exhale',
            'To the last of the air, with '.Words::list($flags).'.',
            'effort',
            [
                new Change('passive exhale', ['effort' => $gentle]),
                new Change('passive, by pursed lips', ['effort' => $gentle, 'route_out' => Route::PursedLips->value]),
                ...EasierChanges::for($item),
            ],
            'Common practice.',
        );
    }
}
