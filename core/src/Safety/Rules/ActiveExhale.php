<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Effort;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** An active or complete exhale with something that must not be strained. Common practice. */
final class ActiveExhale implements Rule
{
    public function id(): string
    {
        return 'EXHALE-ACTIVE';
    }

    public function level(): Level
    {
        return Level::NeedsReason;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([
            Flag::RibFracture, Flag::RecentChestSurgery, Flag::RecentAbdominalSurgery, Flag::RecentEyeSurgery,
            Flag::Eye, Flag::Bullae,
        ]);
        if ($flags === [] || ! in_array($item->prescription->effort, [Effort::Active, Effort::Complete], true)) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Worked exhale',
            'The exhale is '.$item->prescription->effort->label().', with '.Words::list($flags).'.',
            'effort', [new Change('passive exhale', ['effort' => Effort::Gentle->value]), ...EasierChanges::for($item)], 'Common practice.',
        );
    }
}
