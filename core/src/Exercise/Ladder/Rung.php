<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Ladder;

use IvoryPace\Exercise\Prescription;
use IvoryPace\Numbers;

/** One prescribed step of a progression. */
final readonly class Rung
{
    /**
     * @param  LadderAxis|null  $axis  what changed against the rung below; null for the first
     * @param  array<string, mixed>  $set  the fields that it sets over the rung below
     * @param  int  $days  least days on the rung below before this one, 0–365
     * @param  int  $calmDays  days before it without a stop and without a pause
     */
    public function __construct(
        public ?LadderAxis $axis,
        public array $set,
        public Prescription $prescription,
        public int $days,
        public int $calmDays = 0,
    ) {
    }

    /** What it sets, in words; the whole exercise for the first. */
    public function change(): string
    {
        $prescription = $this->prescription;

        return match ($this->axis) {
            null => $prescription->summary(),
            LadderAxis::Position => $prescription->position->label(),
            LadderAxis::Ratio => (string) $prescription->pattern?->toString(),
            LadderAxis::Count => Numbers::print($prescription->countLength->seconds).' s a count',
            LadderAxis::Repeats => "{$prescription->breaths} {$prescription->technique->length->value}",
            LadderAxis::Minutes => Numbers::print((float) $prescription->minutes).' min',
            LadderAxis::Parameter => $this->parameters(),
        };
    }

    /** Length of one breath in seconds; null when breaths are not paced or open. */
    public function cycleSeconds(): ?float
    {
        return $this->prescription->hasOpenExhale() ? null : $this->prescription->topCycle()?->seconds();
    }

    /** Breaths a minute; null when breaths are not paced or open. */
    public function rate(): ?float
    {
        $seconds = $this->cycleSeconds();

        return $seconds === null ? null : 60 / $seconds;
    }

    /** Minutes of the exercise itself. */
    public function minutes(): float
    {
        return $this->prescription->exerciseSeconds() / 60;
    }

    /** Those that it sets, of all that it names. */
    private function parameters(): string
    {
        $names = array_slice(array_keys((array) ($this->set['parameters'] ?? [])), 0, 1);

        return implode(', ', array_map(
            fn (int|string $name) => $this->prescription->technique->parameters[(string) $name]->print(
                $this->prescription->parameter((string) $name),
            ),
            $names,
        ));
    }
}
