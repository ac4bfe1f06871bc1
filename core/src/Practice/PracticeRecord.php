<?php

declare(strict_types=1);

namespace IvoryPace\Practice;

use DateTimeImmutable;
use IvoryPace\Fraction;
use IvoryPace\Health\StopClass;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\Anchor;

/** One practice that was really done, as far as it got. */
final readonly class PracticeRecord
{
    /** 0–1: how much of the prescription it counts for. */
    public float $completeness;

    /** The same, exact. */
    public Fraction $share;

    /**
     * @param  float  $done  breaths or seconds done, 0 or more
     * @param  float  $prescribed  breaths or seconds prescribed, more than 0
     * @param  Doubt|null  $doubt  why it cannot have been so: then it is credited with nothing
     * @param  bool  $stoppedForSymptom  stopped for a symptom: counts in full, nobody is scored down for stopping safely
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $lineage,
        public DateTimeImmutable $startedAt,
        float $done,
        float $prescribed,
        public bool $stoppedForSymptom = false,
        public ?Anchor $anchor = null,
        public ?Doubt $doubt = null,
    ) {
        if (! ($done >= 0) || ! ($prescribed > 0) || ! is_finite($done) || ! is_finite($prescribed)) {
            throw InvalidValue::because("A practice cannot be $done done of $prescribed.");
        }
        // Breaths and seconds are whole; a thousandth of either is finer than anything that is logged.
        $this->share = $stoppedForSymptom || $done >= $prescribed
            ? Fraction::of(1)
            : Fraction::of((int) round($done * 1000), max(1, (int) round($prescribed * 1000)));
        $this->completeness = $this->share->toFloat();
    }

    /**
     * What is counted: breaths where breaths were prescribed, otherwise seconds. Of a short version, what it prescribes.
     *
     * @throws InvalidValue
     */
    public static function of(
        string $lineage,
        DateTimeImmutable $startedAt,
        int $breathsDone,
        int $breathsPrescribed,
        int $secondsDone,
        int $secondsPrescribed,
        ?StopClass $stop,
        ?Anchor $anchor,
        ?Doubt $doubt = null,
    ): self {
        $counted = $breathsPrescribed > 0;

        return new self(
            $lineage, $startedAt, $counted ? $breathsDone : $secondsDone, $counted ? $breathsPrescribed : $secondsPrescribed,
            stoppedForSymptom: $stop?->isSymptom() === true, anchor: $anchor, doubt: $doubt,
        );
    }

    /** Whether it counts as practised. A stop is believed, whatever else is said of the practice. */
    public function isCredited(): bool
    {
        return $this->doubt === null || $this->stoppedForSymptom;
    }

    /**
     * @param  list<self>  $records
     * @return list<self>
     */
    public static function credited(array $records): array
    {
        return array_values(array_filter($records, fn (self $record) => $record->isCredited()));
    }

    /** How it appears in the tally among the prescribed ones. */
    public function stroke(): Stroke
    {
        return match (true) {
            $this->stoppedForSymptom => Stroke::Stopped,
            $this->completeness >= 1.0 => Stroke::Done,
            default => Stroke::Partial,
        };
    }
}
