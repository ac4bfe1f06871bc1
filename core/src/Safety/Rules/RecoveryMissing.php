<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Health\Flag;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Phrases;
use IvoryPace\Safety\Rule;

/** No as-needed recovery exercise for a patient with asthma or COPD. Common practice. */
final class RecoveryMissing implements Rule
{
    public function id(): string
    {
        return 'RECOVERY-MISSING';
    }

    public function check(Look $look): ?Finding
    {
        $flags = $look->patient->which([Flag::Asthma, Flag::Copd]);
        $hasRecovery = array_filter([$look->item, ...$look->others], fn (Item $each) => $each->isRecovery()) !== [];
        if ($flags === [] || $hasRecovery) {
            return null;
        }

        return new Finding(
            $this->id(), Level::Note, 'Nothing for sudden breathlessness',
            'With '.Phrases::list($flags)
                .', go through what to do when short of breath: seated leaning forward, out through the lips first.',
            'technique', new Cause($flags),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        return [new Change('add forward-lean recovery, as needed', [], ['technique' => 'forward-lean'])];
    }
}
