<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;

/** What an issued version asks for, as far as scheduling and adherence need it. */
final readonly class Version
{
    /**
     * @param  int  $number  from 1
     * @param  PatientDay  $inForceFrom  first patient-day of this version
     * @param  PatientDay|null  $endsOn  last patient-day; null when there is no end
     * @param  array<string, WeekPlan>  $plans  by lineage
     *
     * @throws InvalidValue
     */
    public function __construct(
        public int $number,
        public PatientDay $inForceFrom,
        public ?PatientDay $endsOn,
        public array $plans,
    ) {
        if ($number < 1) {
            throw InvalidValue::because('Versions are numbered from 1.');
        }
        if ($endsOn !== null && $endsOn->isBefore($inForceFrom)) {
            throw InvalidValue::because('A programme cannot end before it starts.');
        }
    }
}
