<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Patient;
use App\Models\Practice;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use IvoryPace\Practice\Adherence;
use IvoryPace\Practice\PatientDay;
use IvoryPace\Session\Evidence;
use IvoryPace\Session\RatedPractice;

/** What a patient's practices say, for the whole programme or for an exercise, from a day on. */
final class EvidenceOf
{
    private const MOST = 5000;

    /** @param  Collection<int, Practice>  $practices */
    private function __construct(private readonly Programme $programme, private readonly Adherence $adherence, public readonly Collection $practices, private readonly Patient $patient, private readonly PatientDay $today)
    {
    }

    /** Null without a running programme. */
    public static function patient(Patient $patient, CarbonImmutable $now): ?self
    {
        $programme = $patient->activeProgramme;
        if ($programme === null) {
            return null;
        }
        $practices = $patient->practices()->where('started_at', '>=', $patient->clock()->startsAt($programme->history()->firstDay()))->orderBy('started_at')->limit(self::MOST)->get();
        $pauses = $patient->pauses()->orderBy('from_at')->limit(500)->get();

        return new self($programme, AdherenceOf::programme($programme, $patient, $practices, $pauses, collect(), $now), $practices, $patient, $patient->dayOf($now));
    }

    /** Over every exercise, from a day on. */
    public function since(PatientDay $from): Evidence
    {
        $result = $this->adherence->ofProgramme($this->notBefore($from), $this->today);

        return new Evidence($this->rated($this->from($from)), $result->due, $result->credit);
    }

    public function longestGapSince(PatientDay $from): int
    {
        return $this->adherence->ofProgramme($this->notBefore($from), $this->today)->longestGap;
    }

    /** Of one exercise, since the version that last changed it. */
    public function ofItem(ProgrammeItem $item): Evidence
    {
        $from = $this->changedOn($item);
        $result = $this->adherence->ofItem($item->lineage, $from, $this->today);

        return new Evidence($this->rated($this->from($from)->where('lineage', $item->lineage)), $result->due, $result->credit);
    }

    /** @return Collection<int, Practice> */
    public function from(PatientDay $from): Collection
    {
        $start = $this->patient->clock()->startsAt($from);

        return $this->practices->filter(fn (Practice $practice) => $practice->started_at >= $start);
    }

    /** The day from which the exercise has been prescribed as it is now. */
    public function changedOn(ProgrammeItem $item): PatientDay
    {
        $from = null;
        foreach ($this->programme->versions->reverse() as $version) {
            $then = $version->items->firstWhere('lineage', $item->lineage);
            if ($then === null || $then->fields !== $item->fields) {
                break;
            }
            $from = PatientDay::of($version->in_force_from->format('Y-m-d'));
        }

        return $this->notBefore($from ?? $this->today);
    }

    private function notBefore(PatientDay $from): PatientDay
    {
        $first = $this->programme->history()->firstDay();

        return $from->isBefore($first) ? $first : $from;
    }

    /**
     * @param  Collection<int, Practice>  $practices
     * @return list<RatedPractice>
     */
    private function rated(Collection $practices): array
    {
        return array_values($practices->map(fn (Practice $practice) => new RatedPractice(
            $practice->before, $practice->after, $practice->effort, $practice->smooth, $practice->stop_class?->isSymptom() === true,
        ))->all());
    }
}
