<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\InvalidValue;

/** All versions of one programme. On any day the latest version that has begun is in force. */
final readonly class History
{
    /** @var non-empty-list<Version> in order of number */
    public array $versions;

    /**
     * @param  list<Version>  $versions  at least one
     * @param  PatientDay|null  $closedOn  last day before the programme was closed
     *
     * @throws InvalidValue when empty, or when a later version begins before an earlier one
     */
    public function __construct(array $versions, public ?PatientDay $closedOn = null)
    {
        if ($versions === []) {
            throw InvalidValue::because('A programme has at least one version.');
        }
        usort($versions, fn (Version $a, Version $b) => $a->number <=> $b->number);
        for ($index = 1; $index < count($versions); $index++) {
            if ($versions[$index]->inForceFrom->isBefore($versions[$index - 1]->inForceFrom)) {
                throw InvalidValue::because("Version {$versions[$index]->number} begins before the one it replaces.");
            }
        }
        $this->versions = $versions;
    }

    /** The first day of the programme. */
    public function firstDay(): PatientDay
    {
        return $this->versions[0]->inForceFrom;
    }

    public function inForceOn(PatientDay $day): ?Version
    {
        if ($this->closedOn !== null && $day->isAfter($this->closedOn)) {
            return null;
        }
        for ($index = count($this->versions) - 1; $index >= 0; $index--) {
            $version = $this->versions[$index];
            if (! $version->inForceFrom->isAfter($day)) {
                return $version->endsOn !== null && $day->isAfter($version->endsOn) ? null : $version;
            }
        }

        return null;
    }

    /** The plan of a lineage on a day; null when it is not prescribed that day. */
    public function planOn(PatientDay $day, string $lineage): ?WeekPlan
    {
        return $this->inForceOn($day)?->plans[$lineage] ?? null;
    }

    /** @return list<string> every lineage that any version prescribes */
    public function lineages(): array
    {
        $lineages = [];
        foreach ($this->versions as $version) {
            $lineages += array_fill_keys(array_keys($version->plans), true);
        }

        return array_map(strval(...), array_keys($lineages));
    }
}
