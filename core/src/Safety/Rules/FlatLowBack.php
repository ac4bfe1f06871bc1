<?php

declare(strict_types=1);

namespace IvoryPace\Safety\Rules;

use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Body\Prop;
use IvoryPace\Exercise\Change;
use IvoryPace\Health\Flag;
use IvoryPace\Safety\Cause;
use IvoryPace\Safety\Finding;
use IvoryPace\Safety\Level;
use IvoryPace\Safety\Look;
use IvoryPace\Safety\Rule;

/** Lying flat with low back pain and no pillow under the knees. Common practice. */
final class FlatLowBack implements Rule
{
    public function id(): string
    {
        return 'FLAT-LOW-BACK';
    }

    public function check(Look $look): ?Finding
    {
        $prescription = $look->prescription;
        if (! $look->patient->has(Flag::LowBackPain) || ! $prescription->position->isLyingFlat()
            || in_array($prescription->position, [Position::SupineKneesBent, Position::Prone], true)
            || in_array(Prop::PillowUnderKnees, $prescription->props, true)) {
            return null;
        }

        return new Finding(
            $this->id(), Level::Note, 'Low back pain, lying flat', 'More comfortable with support under the knees.', 'props',
            new Cause([Flag::LowBackPain]),
        );
    }

    public function changes(Look $look, Finding $finding): array
    {
        $props = [...$look->prescription->props, Prop::PillowUnderKnees];

        return [new Change('add a pillow under the knees', ['props' => array_map(fn (Prop $prop) => $prop->value, $props)])];
    }
}
