<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;
use IvoryPace\Calendar\PatientClock;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Fraction;
use IvoryPace\Programme\History;

/**
 * How much of what was prescribed was practised, day by day against the version in force that day.
 *
 * Σ credit / Σ due, with credit = min(done, due). The first day of a programme is never a miss: only what was
 * begun that day counts as due. A day on which the exercise was paused at any time is left out. Of the present
 * day only practices whose window has closed are due; one done early is credited once its window closes.
 */
final class Adherence
{
    private readonly DuePractices $due;

    private readonly PatientDay $today;

    /** @var array<string, array<string, list<PracticeRecord>>> records by lineage and date, in order of start */
    private array $records = [];

    /** @var array<string, DayTally> by date and lineage, once they have been asked for */
    private array $tallies = [];

    /**
     * @param  list<PracticeRecord>  $records
     * @param  list<Pause>  $pauses
     * @param  DateTimeImmutable  $now  the present instant
     * @param  list<PutOff>  $putOffs  practices for which the patient said "not today": not credited, shown as such
     */
    public function __construct(
        private readonly History $history,
        private readonly PatientClock $clock,
        array $records,
        private readonly array $pauses,
        private readonly DateTimeImmutable $now,
        private readonly array $putOffs = [],
    ) {
        $this->due = new DuePractices($history, $clock);
        foreach (PracticeRecord::credited($records) as $record) {
            $this->records[$record->lineage][$clock->dayOf($record->startedAt)->date][] = $record;
        }
        foreach ($this->records as $lineage => $days) {
            foreach (array_filter($days, fn (array $day) => count($day) > 1) as $date => $day) {
                usort($day, fn (PracticeRecord $a, PracticeRecord $b) => $a->startedAt <=> $b->startedAt);
                $this->records[$lineage][$date] = $day;
            }
        }
        $this->today = $clock->dayOf($now);
    }

    /** One exercise, from a day to a day, both included; days after the present one are left out. */
    public function ofItem(string $lineage, PatientDay $from, PatientDay $to): AdherenceResult
    {
        return new AdherenceResult(array_map(
            fn (PatientDay $day) => $this->day($day, $lineage),
            $this->daysOf($from, $to),
        ));
    }

    /** All exercises together. */
    public function ofProgramme(PatientDay $from, PatientDay $to): AdherenceResult
    {
        $lineages = $this->history->lineages();

        return new AdherenceResult(array_map(
            fn (PatientDay $day) => array_reduce(
                $lineages,
                fn (DayTally $sum, string $lineage) => $sum->plus($this->day($day, $lineage)),
                new DayTally($day, 0, Fraction::zero(), 0, false, []),
            ),
            $this->daysOf($from, $to),
        ));
    }

    /**
     * Anchor by anchor, over whole days: the present day is left out, because it is not known yet what it will bring.
     *
     * @param  string|null  $lineage  null for all exercises
     * @return array<string, Share> by anchor
     */
    public function byAnchor(PatientDay $from, PatientDay $to, ?string $lineage = null): array
    {
        $shares = [];
        $yesterday = $this->today->previous();
        foreach ($from->through($to->isAfter($yesterday) ? $yesterday : $to) as $day) {
            foreach ($lineage === null ? $this->history->lineages() : [$lineage] as $each) {
                $slots = $this->wasPaused($day, $each) ? [] : $this->due->ofItem($day, $each);
                $isFirst = $day->equals($this->history->firstDay());
                foreach (SlotCredit::of($slots, $this->records[$each][$day->date] ?? []) as $index => $credit) {
                    $anchor = $slots[$index]->anchor->value;
                    $shares[$anchor] = ($shares[$anchor] ?? new Share)->plus($isFirst && $credit === null ? 0 : 1, $credit ?? 0.0);
                }
            }
        }

        return $shares;
    }

    /** @return list<PatientDay> */
    private function daysOf(PatientDay $from, PatientDay $to): array
    {
        return $from->through($to->isAfter($this->today) ? $this->today : $to);
    }

    private function day(PatientDay $day, string $lineage): DayTally
    {
        return $this->tallies["{$day->date} $lineage"] ??= $this->tally($day, $lineage);
    }

    private function tally(PatientDay $day, string $lineage): DayTally
    {
        $records = $this->records[$lineage][$day->date] ?? [];
        $planned = $this->due->countOf($day, $lineage);
        $extras = max(0, count($records) - $planned);
        $strokes = $this->strokes($records, $planned);

        if ($this->wasPaused($day, $lineage)) {
            return new DayTally($day, 0, Fraction::zero(), $extras, true, $strokes);
        }

        // Every window closes within its day.
        $closed = $day->isBefore($this->today) ? $planned
            : count(array_filter($this->due->ofItem($day, $lineage), fn (DueSlot $slot) => $slot->isDueAt($this->now)));
        $isFirst = $day->equals($this->history->firstDay());
        $due = $isFirst ? min($closed, count($records)) : $closed;
        $done = array_reduce($records, fn (Fraction $sum, PracticeRecord $record) => $sum->plus($record->share), Fraction::zero());
        $missing = max(0, $closed - count($records));
        $open = $planned - max($closed, min($planned, count($records)));
        $putOff = min($this->putOff($day, $lineage), $missing + $open);
        array_push(
            $strokes,
            ...array_fill(0, $putOff, Stroke::PutOff),
            ...array_fill(0, $isFirst ? 0 : max(0, $missing - $putOff), Stroke::Missed),
            ...array_fill(0, $open - max(0, $putOff - $missing), Stroke::Open),
        );

        return new DayTally($day, $due, $done->atMost(Fraction::of($due)), $extras, false, $strokes);
    }

    private function putOff(PatientDay $day, string $lineage): int
    {
        return count(array_filter($this->putOffs, fn (PutOff $said) => $said->lineage === $lineage && $said->day->equals($day)));
    }

    private function wasPaused(PatientDay $day, string $lineage): bool
    {
        foreach ($this->pauses as $pause) {
            if ($pause->concerns($lineage) && $pause->touches($day, $this->clock)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<PracticeRecord>  $records
     * @return list<Stroke>
     */
    private function strokes(array $records, int $planned): array
    {
        $strokes = [];
        foreach ($records as $index => $record) {
            // A stop stays a stop, so that it is seen even when the practice was beyond the prescribed ones.
            $strokes[] = $index >= $planned && ! $record->stoppedForSymptom ? Stroke::Extra : $record->stroke();
        }

        return $strokes;
    }
}
