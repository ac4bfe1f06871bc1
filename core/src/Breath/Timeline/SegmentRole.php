<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

/** Whether a segment is the exercise itself or what surrounds it. */
enum SegmentRole: string
{
    case LeadIn = 'lead-in';
    case Exercise = 'exercise';
    /** What is said before a step is led; a tap passes over it. */
    case Teach = 'teach';
    case Settle = 'settle';
    case Return = 'return';
}
