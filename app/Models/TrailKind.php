<?php

declare(strict_types=1);

namespace App\Models;

/** What was done to what a line of the trail names. */
enum TrailKind: string
{
    case Read = 'read';
    case Write = 'write';
    case Export = 'export';
    case SignIn = 'sign-in';
    case SignOut = 'sign-out';
    case Refused = 'refused';

    public function label(): string
    {
        return match ($this) {
            self::Read => 'opened',
            self::Write => 'changed',
            self::Export => 'took out',
            self::SignIn => 'signed in',
            self::SignOut => 'signed out',
            self::Refused => 'was refused',
        };
    }
}
