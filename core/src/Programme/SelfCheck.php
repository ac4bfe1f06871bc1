<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Exercise\Body\Hands;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Numbers;

/** What a patient looks at after a practice and answers with one tap, where it is prescribed. Common practice. */
enum SelfCheck: string
{
    case FirstHand = 'first-hand';
    case MoreHand = 'more-hand';
    case Shoulders = 'shoulders';
    case WhatMoved = 'what-moved';
    case BackGap = 'back-gap';
    /** Tapped before and after: breaths a minute at the start, a slash, breaths a minute at the end. */
    case Pace = 'pace';

    /** Breaths a minute that taps can mean. */
    private const PACE = [2.0, 80.0];

    /** For the prescriber. */
    public function label(): string
    {
        return match ($this) {
            self::FirstHand => 'which hand moved first',
            self::MoreHand => 'which hand moved more',
            self::Shoulders => 'whether the shoulders went up',
            self::WhatMoved => 'what moved',
            self::BackGap => 'whether the gap under the low back stayed',
            self::Pace => 'the pace of the breath before and after, tapped',
        };
    }

    /** @return list<string> the one that is hoped for first; none where it is tapped */
    public function answers(): array
    {
        return match ($this) {
            self::FirstHand => ['belly', 'both', 'chest'],
            self::MoreHand => ['belly', 'equal', 'chest'],
            self::Shoulders => ['no', 'yes'],
            self::WhatMoved => ['belly', 'ribs', 'chest'],
            self::BackGap => ['stayed', 'went'],
            self::Pace => [],
        };
    }

    /** Whether this can be what a patient answered. */
    public function accepts(string $answer): bool
    {
        return $this === self::Pace ? self::paces($answer) !== null : in_array($answer, $this->answers(), true);
    }

    /** Breaths a minute before and after, with one decimal. */
    public static function writePaces(float $before, float $after): string
    {
        return Numbers::print($before, 1).'/'.Numbers::print($after, 1);
    }

    /** @return array{float, float}|null breaths a minute before and after, 2–80; null where it cannot be read */
    public static function paces(string $answer): ?array
    {
        if (preg_match('/^(\d{1,2}(?:\.\d)?)\/(\d{1,2}(?:\.\d)?)$/D', $answer, $found) !== 1) {
            return null;
        }
        $paces = [(float) $found[1], (float) $found[2]];

        return min($paces) < self::PACE[0] || max($paces) > self::PACE[1] ? null : $paces;
    }

    /** A hand can only be asked about where it lies, a gap only where there is one. */
    public function suits(Prescription $prescription): bool
    {
        return match ($this) {
            self::FirstHand, self::MoreHand => $prescription->hands === Hands::ChestAndBelly,
            self::BackGap => $prescription->position === Position::SupineKneesBent || $prescription->position === Position::Supine,
            self::Shoulders, self::WhatMoved, self::Pace => true,
        };
    }
}
