<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Body;

/** What the eyes do. The patient's own choice in every technique unless the prescriber has a reason. */
enum Gaze: string
{
    case Choice = 'choice';
    case Closed = 'closed';
    case Lowered = 'lowered';
    case OnAPoint = 'on-a-point';

    /** Nobody walks with closed or lowered eyes, and face down there is no point to look at. */
    public function suits(Position $position): bool
    {
        return match ($this) {
            self::Choice => true,
            self::Closed, self::Lowered => $position !== Position::Walking,
            self::OnAPoint => ! in_array($position, [
                Position::Walking, Position::Prone, Position::FoldedForward, Position::ChildsPose,
            ], true),
        };
    }

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
