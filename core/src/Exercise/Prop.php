<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** Things that support the body. */
enum Prop: string
{
    case PillowUnderKnees = 'pillow-under-knees';
    case PillowUnderHead = 'pillow-under-head';
    case Wedge = 'wedge';
    case ChairWithBack = 'chair-with-back';
    case Blanket = 'blanket';
    case Mirror = 'mirror';

    /** A pillow under the head of somebody who sits supports nothing. Common practice. */
    public function suits(Position $position): bool
    {
        return match ($this) {
            self::PillowUnderKnees => in_array($position, [Position::Supine, Position::SupineKneesBent, Position::Reclined], true),
            self::PillowUnderHead => $position->isLying(),
            self::Wedge => $position->isLying() && $position !== Position::Prone,
            self::ChairWithBack => ! $position->isLying() && ! $position->needsFloor() && $position !== Position::Walking,
            self::Blanket, self::Mirror => true,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::PillowUnderKnees => 'pillow under the knees',
            self::PillowUnderHead => 'low pillow under the head',
            self::Wedge => 'wedge or stacked pillows',
            self::ChairWithBack => 'chair with a back',
            self::Blanket => 'blanket',
            self::Mirror => 'mirror',
        };
    }
}
