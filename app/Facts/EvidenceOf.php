<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Programme;
use App\Models\ProgrammeItem;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Practice\Adherence;
use IvoryPace\Progress\Evidence;
use IvoryPace\Progress\Proposal\Proposal;
use IvoryPace\Progress\RatedPractice;
use IvoryPace\Safety\Likeness;

/** What a patient's practices say, for the whole programme or for an exercise, from a day on. */
final class EvidenceOf
{
    /** @param  list<PracticeOnFile>  $practices */
    private function __construct(
        private readonly Programme $programme,
        public readonly Adherence $adherence,
        public readonly array $practices,
        private readonly PatientDay $today,
    ) {
    }

    /** Null without a running programme. */
    public static function on(OnFile $file): ?self
    {
        $programme = $file->programme;

        return $programme === null ? null
            : new self($programme, AdherenceOf::programme(
                $programme, $file->patient, array_map(fn (PracticeOnFile $practice) => $practice->record, $file->practices), $file->pauses,
                $file->putOffs, $file->now,
            ), $file->practices, $file->today);
    }

    /** Over every exercise, from a day on, up to another or to the present one. */
    public function from(PatientDay $from, ?PatientDay $to = null): Evidence
    {
        $result = $this->adherence->ofProgramme($this->notBefore($from), $to ?? $this->today);

        return new Evidence($this->rated($this->practicesFrom($from, $to)), $result->due, $result->credit);
    }

    /** What of an exercise was practised of what was due on these days, 0–1; null when nothing was. */
    public function ofDays(ProgrammeItem $item, PatientDay $from, PatientDay $to): ?float
    {
        $from = $this->notBefore($from);

        return $to->isBefore($from) ? null : $this->adherence->ofItem($item->lineage, $from, $to)->share();
    }

    public function longestGapSince(PatientDay $from): int
    {
        return $this->adherence->ofProgramme($this->notBefore($from), $this->today)->longestGap;
    }

    /** Of one exercise, since the version that last changed it, but no further back than a proposal looks. */
    public function ofItem(ProgrammeItem $item): Evidence
    {
        $from = $this->windowOf($item);
        $result = $this->adherence->ofItem($item->lineage, $from, $this->today);

        return new Evidence($this->rated($this->practicesOf($item, $from)), $result->due, $result->credit);
    }

    /** @return list<PracticeOnFile> those that count */
    public function practicesFrom(PatientDay $from, ?PatientDay $to = null, bool $doubtfulToo = false): array
    {
        $found = [];
        foreach ($this->practices as $practice) {
            // A year has a thousand of them, and this is asked for often: dates are compared as text.
            if (! $doubtfulToo && ! $practice->record->isCredited()) {
                continue;
            }
            if ($practice->day->date >= $from->date && ($to === null || $practice->day->date <= $to->date)) {
                $found[] = $practice;
            }
        }

        return $found;
    }

    /** @return list<PracticeOnFile> of one exercise */
    public function practicesOf(ProgrammeItem $item, PatientDay $from): array
    {
        return array_values(
            array_filter($this->practicesFrom($from), fn (PracticeOnFile $practice) => $practice->record->lineage === $item->lineage),
        );
    }

    /**
     * What was stopped of the same exercise, on whichever line it stands: stops count together.
     *
     * @return list<PracticeOnFile>
     */
    public function practicesLike(ProgrammeItem $item, PatientDay $from): array
    {
        $practices = array_values(
            array_filter($this->practicesFrom($from), fn (PracticeOnFile $practice) => $practice->isStoppedForSymptom()),
        );
        if ($practices === []) {
            return [];
        }
        $same = array_filter($this->programme->likenesses(), fn (array $likeness) => Likeness::meet($likeness, $item->likeness()));

        return array_values(
            array_filter(
                $practices,
                fn (PracticeOnFile $practice) => $practice->record->lineage === $item->lineage || isset($same[$practice->record->lineage]),
            ),
        );
    }

    /** The day from which the exercise has been prescribed as it is now. */
    public function changedOn(ProgrammeItem $item): PatientDay
    {
        $from = null;
        foreach ($this->programme->versions->reverse() as $version) {
            $then = $version->items->firstWhere('lineage', $item->lineage);
            if ($then === null || ! $then->isPrescribedLike($item)) {
                break;
            }
            $from = PatientDay::of($version->in_force_from->format('Y-m-d'));
        }

        return $this->notBefore($from ?? $this->today);
    }

    /** The day from which on its practices count for a proposal. */
    public function windowOf(ProgrammeItem $item): PatientDay
    {
        $changed = $this->changedOn($item);
        $furthest = $this->today->plusDays(-Proposal::MOST_DAYS);

        return $changed->isBefore($furthest) ? $furthest : $changed;
    }

    /** That day in words. */
    public function since(ProgrammeItem $item): string
    {
        return $this->windowOf($item)->equals($this->changedOn($item))
            ? 'since the last change'
            : 'in the last '.Proposal::MOST_DAYS.' days';
    }

    private function notBefore(PatientDay $from): PatientDay
    {
        $first = $this->programme->history()->firstDay();

        return $from->isBefore($first) ? $first : $from;
    }

    /**
     * @param  list<PracticeOnFile>  $practices
     * @return list<RatedPractice>
     */
    private function rated(array $practices): array
    {
        return array_map(fn (PracticeOnFile $practice) => new RatedPractice(
            $practice->before, $practice->after, $practice->effort, $practice->smooth, $practice->isStoppedForSymptom(),
            $practice->felt,
        ), $practices);
    }
}
