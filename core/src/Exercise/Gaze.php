<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** What the eyes do. The patient's own choice in every technique unless the prescriber has a reason. */
enum Gaze: string
{
    case Choice = 'choice';
    case Closed = 'closed';
    case Lowered = 'lowered';
    case OnAPoint = 'on-a-point';

    public function label(): string
    {
        return match ($this) {
            self::Choice => 'eyes as the patient likes',
            self::Closed => 'eyes closed',
            self::Lowered => 'eyes lowered',
            self::OnAPoint => 'eyes on a point',
        };
    }
}
