<?php

declare(strict_types=1);

namespace IvoryPace\Exercise;

/** In what a practice of a technique is measured. */
enum Length: string
{
    case Breaths = 'breaths';
    /** Two breaths each. */
    case Rounds = 'rounds';
    case Minutes = 'minutes';
    /** Follows from the technique's own parameters. */
    case Derived = 'derived';
}
