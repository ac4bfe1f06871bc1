<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** No as-needed recovery exercise for a patient with asthma or COPD. Common practice. */
final class RecoveryMissing implements Rule
{
    public function id(): string
    {
        return 'RECOVERY-MISSING';
    }

    public function level(): Level
    {
        return Level::Note;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([Flag::Asthma, Flag::Copd]);
        $hasRecovery = array_filter([$item, ...$others], fn (Item $each) => $each->isRecovery()) !== [];
        if ($flags === [] || $hasRecovery) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Nothing for sudden breathlessness',
            'With '.Words::list($flags).', go through what to do when short of breath: seated leaning forward, out through the lips first.',
            'technique', [new Change('add forward-lean recovery, as needed', [], ['technique' => 'forward-lean'])], 'Common practice.',
        );
    }
}
