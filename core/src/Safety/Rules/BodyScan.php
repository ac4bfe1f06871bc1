<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Gaze;
use IvoryPace\Exercise\Recipes\BodyScan as Scan;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/**
 * Attention led through the body with trauma, dissociation, psychosis or mania, unless it is short and the eyes rest on
 * a point outside. Common practice.
 */
final class BodyScan implements Rule
{
    private const SHORT_SECONDS = 2.0;

    public function id(): string
    {
        return 'BODY-SCAN';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $prescription = $item->prescription;
        $flags = $patient->which([Flag::Trauma, Flag::Psychosis]);
        if ($flags === [] || ! $prescription->technique->scansBody) {
            return null;
        }
        $parameters = $prescription->parameters;
        if ($prescription->gaze === Gaze::OnAPoint && (int) $parameters['list'] === Scan::GROUPS && $parameters['seconds'] <= self::SHORT_SECONDS) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Attention inside the body', 'Going through the body, with '.Words::list($flags).': may bring memories or unreality.', 'technique',
            [
                new Change('eyes open on a point, groups only, '.Words::number(self::SHORT_SECONDS).' s a part', [
                    'gaze' => Gaze::OnAPoint->value, 'parameters' => ['list' => (float) Scan::GROUPS, 'seconds' => self::SHORT_SECONDS] + $parameters,
                ]),
                OtherTechnique::to('reverse-count', $item, 'attention on something outside: counting down'),
            ],
            'Common practice.',
        );
    }
}
