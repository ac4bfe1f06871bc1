<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Health\Flag;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Offers\EasierForms;
use IvoryPace\Safety\Offers\SmallerBreath;
use IvoryPace\Safety\Phrases;
use IvoryPace\Safety\Rule;

/**
 * Full-size breaths, more than 12 in a row, with panic, fainting or a Nijmegen score above 22. An uncounted
 * practice of any length is longer than 12 breaths. Common practice.
 */
final class FullSizeBreaths implements Rule
{
    private const MOST = 12;

    private const NIJMEGEN = 22;

    public function id(): string
    {
        return 'FULL-BREATHS';
    }

    public function check(Look $look): ?Finding
    {
        $flags = $look->patient->which([Flag::Panic, Flag::Fainting]);
        $score = $look->patient->nijmegen !== null && $look->patient->nijmegen > self::NIJMEGEN ? $look->patient->nijmegen : null;
        $prescription = $look->prescription;
        if (
            ! $prescription->isFullSize() || ($flags === [] && $score === null)
            || (! Sizing::isUncounted($look) && $prescription->breathsInARow() <= self::MOST)
        ) {
            return null;
        }
        $because = implode(', ', array_filter([Phrases::list($flags), $score === null ? '' : "a Nijmegen score of $score"]));
        $numbers = Sizing::isUncounted($look)
            ? ['minutes' => (float) $prescription->minutes]
            : ['breaths' => (float) $prescription->breathsInARow()];

        return new Finding(
            $this->id(), Level::Caution, 'Many full-size breaths in a row',
            'More than '.self::MOST.", with $because: may bring on dizziness.", 'effort',
            new Cause($flags, $score === null ? $numbers : [...$numbers, 'nijmegen' => (float) $score]),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        $fewer = $look->prescription->breaths === null ? [] : [new Change(self::MOST.' breaths', ['breaths' => self::MOST])];

        return [SmallerBreath::restingSize(), ...$fewer, ...EasierForms::of($look->item)];
    }
}
