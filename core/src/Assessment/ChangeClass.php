<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

/** Whether a patient has really changed. */
enum ChangeClass: string
{
    case Recovered = 'recovered';
    case Improved = 'improved';
    case Unchanged = 'unchanged';
    case Worse = 'worse';
    /** No reliability is known, so points are shown and nothing is claimed. */
    case NotClaimed = 'not-claimed';
}
