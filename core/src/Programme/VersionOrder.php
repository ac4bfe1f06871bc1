<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

/** What a practitioner orders when issuing a version. */
final readonly class VersionOrder
{
    /**
     * @param  list<array<string, mixed>>  $items  fields of each, as on the Bench; "id" is the lineage of one in force
     * @param  int  $weeks  1–52, from the day on which the version takes effect
     * @param  string  $reviewOn  date
     * @param  string|null  $startsOn  date, for a first version
     * @param  int  $basedOn  number of the version that was on the Bench; 0 for none
     * @param  array<int, array<string, string|null>>  $findingReasons  by place of the item and rule
     * @param  array<string, mixed>  $goal  words, measure, target, direction
     * @param  string|null  $endsOn  date; takes the place of the weeks where the end is to stay
     * @param  string|null  $patientNote  what changed and why, as the patient reads it
     * @param  array<int, array<string, mixed>>  $findingCauses  by place and rule: what was being looked at when the reason was typed;
     *     what is not said is what is found now
     * @param  bool  $maintenance  a first version that keeps up what the last programme reached, without an end
     */
    public function __construct(
        public array $items,
        public int $weeks,
        public string $reviewOn,
        public ?string $startsOn,
        public string $ratedSymptom,
        public ?string $reason,
        public int $basedOn,
        public array $findingReasons = [],
        public ?string $school = null,
        public array $goal = [],
        public ?string $patientNote = null,
        public ?string $endsOn = null,
        public bool $maintenance = false,
        public array $findingCauses = [],
    ) {
    }
}
