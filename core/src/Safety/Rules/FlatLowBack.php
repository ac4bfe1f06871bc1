<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Change;
use IvoryPace\Exercise\Position;
use IvoryPace\Exercise\Prop;
use IvoryPace\Programme\Item;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Flag;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\PatientFacts;
use IvoryPace\Safety\Rule;

/** Lying flat with low back pain and no pillow under the knees. Common practice. */
final class FlatLowBack implements Rule
{
    public function id(): string
    {
        return 'FLAT-LOW-BACK';
    }

    public function level(): Level
    {
        return Level::Note;
    }

    public function check(Item $item, PatientFacts $patient, array $others = []): ?Finding
    {
        $prescription = $item->prescription;
        if (! $patient->has(Flag::LowBackPain) || ! $prescription->position->isLyingFlat()
            || in_array($prescription->position, [Position::SupineKneesBent, Position::Prone], true)
            || in_array(Prop::PillowUnderKnees, $prescription->props, true)) {
            return null;
        }
        $props = [...$prescription->props, Prop::PillowUnderKnees];

        return new Finding(
            $this->id(), $this->level(), 'Low back pain, lying flat',
            'More comfortable with support under the knees.',
            'props',
            [new Change('add a pillow under the knees', ['props' => array_map(fn (Prop $prop) => $prop->value, $props)])],
            'Common practice.',
        );
    }
}
