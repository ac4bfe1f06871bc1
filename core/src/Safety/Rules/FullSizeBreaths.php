<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Effort;
use IvoryPace\Exercise\Length;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;
use IvoryPace\Safety\Words;

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

    public function level(): Level
    {
        return Level::Caution;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $prescription = $item->prescription;
        $isFull = in_array($prescription->effort, [Effort::Full, Effort::Complete], true);
        $because = $this->because($patient);
        if (! $isFull || $because === null || ($prescription->technique->length !== Length::Minutes && $prescription->breathsInARow() <= self::MOST)) {
            return null;
        }
        $changes = [new Change('resting-size breaths', ['effort' => Effort::Gentle->value])];
        if ($prescription->breaths !== null) {
            $changes[] = new Change(self::MOST.' breaths', ['breaths' => self::MOST]);
        }

        return new Finding(
            $this->id(), $this->level(), 'Many full-size breaths in a row',
            'More than '.self::MOST.", with $because: may bring on dizziness.",
            'effort', $changes, 'Common practice.',
        );
    }

    private function because(PatientFacts $patient): ?string
    {
        $flags = $patient->which([Flag::Panic, Flag::Fainting]);
        if ($flags !== []) {
            return Words::list($flags);
        }

        return $patient->nijmegen !== null && $patient->nijmegen > self::NIJMEGEN
            ? "a Nijmegen score of {$patient->nijmegen}" : null;
    }
}
