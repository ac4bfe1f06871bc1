<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use IvoryPace\Calendar\PatientDay;

/** A practice that the patient said is not for that day. */
final readonly class PutOff
{
    public function __construct(public string $lineage, public PatientDay $day, public NotToday $reason)
    {
    }
}
