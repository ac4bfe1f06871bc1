<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Gaze;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** Closed eyes as the only option with trauma, dissociation, psychosis or mania. Common practice. */
final class EyesClosed implements Rule
{
    public function id(): string
    {
        return 'EYES-CLOSED';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([Flag::Trauma, Flag::Psychosis]);
        if ($flags === [] || $item->prescription->gaze !== Gaze::Closed) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Eyes closed', 'Only with the eyes closed, with '.Words::list($flags).'.', 'gaze',
            [
                new Change('eyes as the patient likes', ['gaze' => Gaze::Choice->value]),
                new Change('eyes open on a point', ['gaze' => Gaze::OnAPoint->value]),
            ],
            'Common practice.',
        );
    }
}
