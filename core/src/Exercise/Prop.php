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
