<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Calendar\PatientDay;

/** A stretch of days: what was practised in it, and what was rated. */
final readonly class PeriodSummary
{
    /** @param  array<string, list<int|float>>  $ratings  0–10, by what was rated */
    public function __construct(public PatientDay $from, public PatientDay $to, public Evidence $evidence, public array $ratings = [])
    {
    }
}
