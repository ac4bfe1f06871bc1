<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

/** What became of one prescribed breath. */
enum Followed: string
{
    case Yes = 'yes';
    /** Another number of inhales, or at another moment. */
    case No = 'no';
    /** Something else was in the trace, or nothing was. */
    case Unknown = 'unknown';
}
