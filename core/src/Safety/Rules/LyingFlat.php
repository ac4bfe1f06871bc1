<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Position;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

/** Lying flat with heart failure, reflux, vertigo, late pregnancy, or when it is not possible. Common practice. */
final class LyingFlat implements Rule
{
    private const PREGNANCY_WEEKS = 20;

    public function id(): string
    {
        return 'LYING-FLAT';
    }

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $flags = $patient->which([Flag::HeartFailure, Flag::CannotLieFlat, Flag::Reflux, Flag::Vertigo]);
        // A pregnancy whose weeks are not known is treated as late.
        if ($patient->has(Flag::Pregnancy) && ($patient->pregnancyWeeks ?? self::PREGNANCY_WEEKS) >= self::PREGNANCY_WEEKS) {
            $flags[] = Flag::Pregnancy;
        }
        if ($flags === [] || ! $item->prescription->position->isLyingFlat()) {
            return null;
        }

        return new Finding(
            $this->id(), $this->level(), 'Lying flat',
            ucfirst($item->prescription->position->label()).', with '.Words::list($flags).'.',
            'position',
            PositionChanges::to($item, [Position::Reclined, Position::Seated, Position::SideLying]),
            'Common practice.',
        );
    }
}
