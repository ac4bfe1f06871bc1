<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Prescription;

/** What a patient looks at after a practice and answers with one tap, where it is prescribed. Common practice. */
enum SelfCheck: string
{
    case FirstHand = 'first-hand';
    case MoreHand = 'more-hand';
    case Shoulders = 'shoulders';
    case WhatMoved = 'what-moved';
    case BackGap = 'back-gap';

    /** For the prescriber. */
    public function label(): string
    {
        return match ($this) {
            self::FirstHand => 'which hand moved first',
            self::MoreHand => 'which hand moved more',
            self::Shoulders => 'whether the shoulders went up',
            self::WhatMoved => 'what moved',
            self::BackGap => 'whether the gap under the low back stayed',
        };
    }

    /** @return non-empty-list<string> the one that is hoped for first */
    public function answers(): array
    {
        return match ($this) {
            self::FirstHand => ['belly', 'both', 'chest'],
            self::MoreHand => ['belly', 'equal', 'chest'],
            self::Shoulders => ['no', 'yes'],
            self::WhatMoved => ['belly', 'ribs', 'chest'],
            self::BackGap => ['stayed', 'went'],
        };
    }

    /** A hand can only be asked about where it lies, a gap only where there is one. */
    public function suits(Prescription $prescription): bool
    {
        return match ($this) {
            self::FirstHand, self::MoreHand => $prescription->hands === Hands::ChestAndBelly,
            self::BackGap => $prescription->position === Position::SupineKneesBent || $prescription->position === Position::Supine,
            self::Shoulders, self::WhatMoved => true,
        };
    }
}
