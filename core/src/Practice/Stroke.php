<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

/** How one practice appears in the tally. */
enum Stroke: string
{
    case Done = 'done';
    case Partial = 'partial';
    case Missed = 'missed';
    case Stopped = 'stopped';
    case Extra = 'extra';
    /** The patient said "not today". */
    case PutOff = 'put-off';
    /** Still to come today. */
    case Open = 'open';

    /** For a tally in few bytes. */
    public function letter(): string
    {
        return match ($this) {
            self::Done => 'd', self::Partial => 'p', self::Missed => 'm', self::Stopped => 's', self::Extra => 'x', self::PutOff => 'n',
            self::Open => 'o',
        };
    }
}
