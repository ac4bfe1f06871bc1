<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use IvoryPace\Fraction;

/** Adherence over a window, with the days it comes from. */
final readonly class AdherenceResult
{
    public int $due;

    public float $credit;

    /** The same, exact. */
    public Fraction $exact;

    public int $extras;

    /** Days with any credit. */
    public int $daysPractised;

    /** Days on which something was due. */
    public int $daysDue;

    /** The longest run of days on which something was due and nothing was credited; other days do not break it. */
    public int $longestGap;

    /** The length of that run at the end of the window; 0 when the last day with something due was practised. */
    public int $presentGap;

    /** @param  list<DayTally>  $days in order */
    public function __construct(public array $days)
    {
        $this->due = array_sum(array_map(fn (DayTally $day) => $day->due, $days));
        $this->exact = array_reduce($days, fn (Fraction $sum, DayTally $day) => $sum->plus($day->exact), Fraction::zero());
        $this->credit = $this->exact->toFloat();
        $this->extras = array_sum(array_map(fn (DayTally $day) => $day->extras, $days));
        $practised = $dueDays = $gap = $longest = 0;
        foreach ($days as $day) {
            if ($day->due === 0) {
                continue;
            }
            $dueDays++;
            if ($day->credit > 0) {
                $practised++;
                $gap = 0;
            } else {
                $longest = max($longest, ++$gap);
            }
        }
        $this->daysPractised = $practised;
        $this->daysDue = $dueDays;
        $this->longestGap = $longest;
        $this->presentGap = $gap;
    }

    /** Credit over due, 0–1; null when nothing was due. */
    public function share(): ?float
    {
        return $this->fraction()?->toFloat();
    }

    /** The same, exact. */
    public function fraction(): ?Fraction
    {
        return $this->due === 0 ? null : $this->exact->over($this->due);
    }
}
