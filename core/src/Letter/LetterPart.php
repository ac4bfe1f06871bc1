<?php

declare(strict_types=1);

namespace IvoryPace\Letter;

/** A paragraph of a letter, with the heading under which it stands. */
enum LetterPart: string
{
    case Asked = 'asked';
    case Concern = 'concern';
    case Why = 'why';
    case Outcome = 'outcome';
    case Measures = 'measures';
    case Practice = 'practice';
    case Programme = 'programme';
    case Plan = 'plan';
    case Closing = 'closing';

    /** Longest text of one, in characters. */
    public const LONGEST = 4000;

    public function heading(): string
    {
        return match ($this) {
            self::Asked => 'What we ask of you',
            self::Concern => 'What concerns us',
            self::Why => 'Why',
            self::Outcome => 'What became of it',
            self::Measures => 'Then and now',
            self::Practice => 'Practice kept',
            self::Programme => 'Programme',
            self::Plan => 'Plan',
            self::Closing => 'Closing words',
        };
    }

    /** Read without a heading of its own. */
    public function isBare(): bool
    {
        return $this === self::Closing;
    }
}
