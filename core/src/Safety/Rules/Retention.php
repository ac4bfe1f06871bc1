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

/** A retention after the exhale, of any length, with a flag against breath-holding needs a reason. Common practice. */
final class Retention implements Rule
{
    public function id(): string
    {
        return 'RETENTION';
    }

    public function level(): Level
    {
        return Level::NeedsReason;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $seconds = $item->prescription->retentionSeconds();
        $flags = $patient->which(Flag::againstHolding());
        if ($seconds <= 0 || $flags === []) {
            return null;
        }
        $prescription = $item->prescription;

        return new Finding(
            $this->id(), $this->level(), 'Retention after the exhale',
            'A retention of '.Words::number($seconds).' s, with '.Words::list($flags).'.', 'parameters',
            [
                OtherTechnique::to('even', $item, 'the breaths without the retention', [
                    'ratio' => $prescription->pattern?->toString(), 'breaths' => $prescription->breaths, 'parameters' => ['steps' => 1.0],
                ]),
                ...EasierChanges::for($item),
            ],
            'Common practice.',
        );
    }
}
