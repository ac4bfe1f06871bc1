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

/** Movements of neck and shoulders with a neck injury. Common practice. */
final class NeckMoves implements Rule
{
    private const TECHNIQUES = ['neck-release', 'shoulder-rolls'];

    public function id(): string
    {
        return 'NECK-MOVES';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        if (! $patient->has(Flag::NeckInjury) || ! in_array($item->prescription->technique->key, self::TECHNIQUES, true)) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Moving the neck', 'With '.Words::list([Flag::NeckInjury]).'.', 'technique',
            [OtherTechnique::to('noticing', $item, 'lying or sitting still: noticing the breath'), ...EasierChanges::for($item)], 'Common practice.',
        );
    }
}
