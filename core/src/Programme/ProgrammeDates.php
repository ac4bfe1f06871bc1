<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Calendar\PatientDay;

/** When a version takes effect, ends and is reviewed, as ordered on a day. Limits are common practice. */
final readonly class ProgrammeDates
{
    /** A programme starts within so many days. */
    public const MOST_DAYS_AHEAD = 90;

    /** What has no end is looked at within so many days. */
    public const MOST_DAYS_TO_A_REVIEW = 366;

    private const DAYS_AFTER_A_STEP = 14;

    /** @param  PatientDay|null  $ends  last day; null where there is no end */
    private function __construct(
        private PatientDay $today,
        private bool $isFirst,
        public PatientDay $from,
        public ?PatientDay $ends,
        public PatientDay $review,
    ) {
    }

    /**
     * A first version starts on the day that was chosen, a later one on the next patient-day: the day of change keeps the
     * old dose, and what is not yet in force is replaced on the day on which it would have begun.
     *
     * @param  PatientDay|null  $replaced  from when on the version that it replaces is in force; null for a first one
     * @param  PatientDay|null  $start  chosen for a first version; null for the present day
     */
    public static function from(PatientDay $today, ?PatientDay $replaced, ?PatientDay $start, PatientDay $review): self
    {
        $from = $replaced === null ? $start ?? $today : $today->next();

        return new self($today, $replaced === null, $replaced !== null && $from->isBefore($replaced) ? $replaced : $from, null, $review);
    }

    /** @param  int  $weeks  from the day on which it takes effect */
    public function forWeeks(int $weeks): self
    {
        return $this->until($this->from->plusDays($weeks * 7 - 1));
    }

    public function until(PatientDay $ends): self
    {
        return new self($this->today, $this->isFirst, $this->from, $ends, $this->review);
    }

    /**
     * When a version is reviewed that only takes a step: on the day that was set, and where that is over, in two weeks or
     * when the programme ends. Common practice.
     *
     * @param  PatientDay|null  $ends  last day; null where there is no end
     */
    public static function reviewAfterAStep(PatientDay $today, PatientDay $review, ?PatientDay $ends): PatientDay
    {
        if ($review->isAfter($today)) {
            return $review;
        }
        $soon = $today->plusDays(self::DAYS_AFTER_A_STEP);

        return $ends !== null && $ends->isBefore($soon) ? $ends : $soon;
    }

    /** @return array<string, string> what is in the way, by field: starts_on, weeks, review_on */
    public function problems(): array
    {
        return array_filter(['starts_on' => $this->start(), 'weeks' => $this->end(), 'review_on' => $this->review()]);
    }

    private function start(): ?string
    {
        return match (true) {
            ! $this->isFirst => null,
            $this->from->isBefore($this->today) => 'The programme cannot start in the past.',
            $this->today->daysUntil($this->from) > self::MOST_DAYS_AHEAD => 'The start is more than '.self::MOST_DAYS_AHEAD.' days away.',
            default => null,
        };
    }

    private function end(): ?string
    {
        return $this->ends?->isBefore($this->from) === true ? 'The programme has reached its end. Set a new one on the Bench.' : null;
    }

    private function review(): ?string
    {
        return match (true) {
            $this->review->isBefore($this->from) => "The review cannot be before the version takes effect on {$this->from->date}.",
            $this->ends === null => $this->from->daysUntil($this->review) > self::MOST_DAYS_TO_A_REVIEW
                ? 'What is kept up is looked at once a year at least: choose a review within a year.'
                : null,
            $this->review->isAfter($this->ends->next()) => "The review cannot be after the programme ends on {$this->ends->date}.",
            default => null,
        };
    }
}
