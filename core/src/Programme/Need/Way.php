<?php

declare(strict_types=1);

namespace IvoryPace\Programme\Need;

use IvoryPace\Breath\Ventilation;
use IvoryPace\Exercise\Length;
use IvoryPace\Exercise\Prescription;

/** How something that has no fixed times is done. */
enum Way: string
{
    /** From its beginning to its end. */
    case Led = 'led';

    /** Led as long as it helps; its minutes are the most. */
    case Open = 'open';

    /** A habit that is looked after through the day and ticked each time, without being led: only what is harmless unled. */
    case Ticked = 'ticked';

    /**
     * A counted breath has an end of its own, a routine too, and recovery ends when breath is back.
     *
     * @param  Prescription|null  $prescription  null for a routine
     */
    public function suits(?Prescription $prescription): bool
    {
        $isOne = $prescription !== null && ! $prescription->technique->isRecovery;

        return match ($this) {
            self::Led => true,
            self::Open => $isOne && $prescription->technique->length === Length::Minutes && $prescription->totalBreaths() === 0,
            // Nobody leads it and no Stop is in view: nothing that could go wrong without them.
            self::Ticked => $isOne && ! $prescription->hasHold() && $prescription->tidalLitres() <= Ventilation::RESTING_SIZE,
        };
    }

    /** What is wrong where it does not suit. */
    public function refusal(): string
    {
        return match ($this) {
            self::Open => 'As long as it helps goes with exercises that are measured in minutes, without counted breaths.',
            default => 'A habit is ticked without being led: one exercise, no pause in it, no bigger than at rest, '
                .'and no help when breath is short.',
        };
    }
}
