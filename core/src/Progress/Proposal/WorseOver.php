<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Proposal;

/** Over what time a rating got worse. */
enum WorseOver: string
{
    case Weeks = 'weeks';
    case Days = 'days';
    case TwoDays = 'two-days';

    /** How the two numbers are named. */
    public function thenInWords(): string
    {
        return match ($this) {
            self::Weeks => 'in the first rated week',
            self::Days => 'in the two weeks before',
            self::TwoDays => 'in the first rated week',
        };
    }

    public function nowInWords(): string
    {
        return match ($this) {
            self::Weeks => 'in the last',
            self::Days => 'on the last three rated days',
            self::TwoDays => 'or worse on two days running',
        };
    }
}
