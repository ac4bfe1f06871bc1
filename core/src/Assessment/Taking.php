<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

/** How a measure is taken. */
enum Taking: string
{
    /** A tap at each inhale. */
    case Taps = 'taps';
    /** Press and hold, the best of three. */
    case Tries = 'tries';
    /** Even breathing that grows by a count until it stops being easy. */
    case Ceiling = 'ceiling';
    /** One hand on the chest, one on the belly. */
    case Hands = 'hands';
    /** A tape at the lower ribs, the best of three. */
    case Ribs = 'ribs';
    case Rhythm = 'rhythm';
    case Typed = 'typed';
    /** 0–10, said by the patient. */
    case Rating = 'rating';
    /** Saturation watched through a hold or a retention: before, lowest, and for how long it was low. */
    case Fall = 'fall';
}
