<?php

declare(strict_types=1);

namespace IvoryPace\Session;

/** The steps of a session, in the order practitioners work. Any may be skipped; the screening may not. */
enum Step: string
{
    case Brief = 'brief';
    case CatchUp = 'catch-up';
    case Measure = 'measure';
    case Teach = 'teach';
    case Decide = 'decide';
    case Prescribe = 'prescribe';
    case HandOver = 'hand-over';
    case Note = 'note';

    public function label(): string
    {
        return match ($this) {
            self::Brief => 'Brief',
            self::CatchUp => 'Catch up',
            self::Measure => 'Measure',
            self::Teach => 'Teach and try',
            self::Decide => 'Decide',
            self::Prescribe => 'Prescribe',
            self::HandOver => 'Hand over',
            self::Note => 'Note',
        };
    }

    /** True when something is typed in it that is kept with the session. */
    public function isKept(): bool
    {
        return $this !== self::Brief && $this !== self::Prescribe;
    }
}
