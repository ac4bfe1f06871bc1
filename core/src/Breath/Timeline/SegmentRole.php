<?php

declare(strict_types=1);

namespace IvoryPace\Breath\Timeline;

/** Whether a segment is the exercise itself or what surrounds it. */
enum SegmentRole: string
{
    case LeadIn = 'lead-in';
    case Exercise = 'exercise';
    case Settle = 'settle';
    case Return = 'return';
}
