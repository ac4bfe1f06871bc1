<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use IvoryPace\Calendar\PatientDay;
use IvoryPace\Fraction;

/** One patient-day of one exercise, or of several taken together. */
final readonly class DayTally
{
    public float $credit;

    /**
     * @param  int  $due  practices that count as due this day
     * @param  Fraction  $exact  credit, 0 to $due
     * @param  int  $extras  practices beyond the prescribed, shown but not credited
     * @param  bool  $paused  left out because an exercise was paused at some time of the day
     * @param  list<Stroke>  $strokes
     */
    public function __construct(
        public PatientDay $day,
        public int $due,
        public Fraction $exact,
        public int $extras,
        public bool $paused,
        public array $strokes,
    ) {
        $this->credit = $exact->toFloat();
    }

    /** The same day of another exercise added. */
    public function plus(self $other): self
    {
        return new self(
            $this->day,
            $this->due + $other->due,
            $this->exact->plus($other->exact),
            $this->extras + $other->extras,
            $this->paused || $other->paused,
            [...$this->strokes, ...$other->strokes],
        );
    }
}
