<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Ending;
use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineStep;
use IvoryPace\Exercise\School;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\Need\AsNeeded;
use IvoryPace\Programme\Need\Way;

/**
 * An exercise or a routine in a programme. The lineage stays the same while it changes from version to version.
 *
 * Of a routine, the prescription is its first exercise: what the patient gets ready for.
 */
final readonly class Item
{
    public const MAX_WHY = 200;

    /**
     * @param  WeekPlan|null  $plan  null for one that is used as needed
     * @param  string  $why  why this patient does it, for the patient
     * @param  array<string, mixed>|null  $short  the least that still counts, for a bad day: fields over the prescribed ones, or the steps
     *     of a routine; null for the technique's own
     * @param  Ladder|null  $ladder  as edited; null for the generated one
     * @param  bool  $goesOn  a step of a routine after which more comes: nothing ends with it
     * @param  list<SelfCheck>  $checks  what the patient is asked after each practice
     *
     * @throws InvalidValue unless it has either a plan or is used as needed
     */
    public function __construct(
        public string $lineage,
        public Prescription $prescription,
        public ?WeekPlan $plan,
        public ?AsNeeded $asNeeded = null,
        public School $school = School::GentleControl,
        public ?Routine $routine = null,
        public string $why = '',
        public ?array $short = null,
        public ?Ladder $ladder = null,
        private bool $goesOn = false,
        public array $checks = [],
    ) {
        if (($plan === null) === ($asNeeded === null)) {
            throw InvalidValue::because('An exercise is either planned or used as needed.');
        }
        if ($asNeeded !== null && ! $asNeeded->way->suits($routine === null ? $prescription : null)) {
            throw InvalidValue::because($asNeeded->way->refusal());
        }
    }

    public function name(): string
    {
        return $this->routine->name ?? $this->prescription->name();
    }

    /** For one line in a list. */
    public function summary(): string
    {
        return $this->routine === null ? $this->prescription->summary() : count($this->routine->steps).' steps';
    }

    /** As it is practised, unless at night: {@see self::nightEnding()}. */
    public function timeline(): Timeline
    {
        $usual = $this->usualEnding();

        return $this->routine?->timeline($usual, $this->school) ?? Compiler::compile($this->prescription, $usual);
    }

    /**
     * How it ends at night, where that differs from the day: what lies at lights out ends quietly, unless an ending is
     * prescribed.
     *
     * @param  bool  $short  of the short version, which may end with another step
     * @return array{drop: int, segments: list<Segment>}|null how many of the last segments are left out, and what comes in
     *     their place; null where night and day end alike
     */
    public function nightEnding(bool $short = false): ?array
    {
        if (! $this->isLeftOpenLying($short) || $this->isOnlyAtNight($short)) {
            return null;
        }
        $last = $this->lastLed($short);
        $step = $this->routine === null ? null : count($this->routine->steps);
        $quiet = Compiler::ending($last, Ending::Quiet);

        return [
            'drop' => count(Compiler::ending($last, Ending::Bell)),
            'segments' => $step === null ? $quiet : array_map(fn (Segment $segment) => $segment->inStep($step), $quiet),
        ];
    }

    /** True when falling asleep is welcome at its end, at least at night: only where one lies, and could not fall. */
    public function endsInSleep(bool $short = false): bool
    {
        $last = $this->lastLed($short);

        return ! $this->goesOn && $last->position->isLying()
            && ($last->ending === Ending::Quiet || ($this->isLeftOpenLying($short) && $this->nights() > 0));
    }

    /** The exercise with which it ends. */
    private function lastLed(bool $short): Prescription
    {
        $exercises = array_values(array_filter(array_map(fn (RoutineStep $step) => $step->prescription, $this->led($short))));

        return $exercises === [] ? $this->prescription : $exercises[count($exercises) - 1];
    }

    /** @return list<RoutineStep> the steps of a routine that are led */
    private function led(bool $short): array
    {
        $steps = $this->routine->steps ?? [];
        $chosen = $short ? $this->shortSteps() : [];

        return $chosen === [] ? $steps : array_map(fn (int $index) => $steps[$index], $chosen);
    }

    /** The exercise with which it ends lies, and nothing says how it ends. */
    private function isLeftOpenLying(bool $short): bool
    {
        $last = $this->lastLed($short);
        $led = $this->led($short);

        return $last->ending === null && $last->position->isLying()
            && ($led === [] || $led[count($led) - 1]->prescription === $last);
    }

    private function usualEnding(bool $short = false): Ending
    {
        return $this->isOnlyAtNight($short) ? Ending::Quiet : Ending::Bell;
    }

    private function isOnlyAtNight(bool $short): bool
    {
        return $this->isLeftOpenLying($short) && $this->plan !== null && $this->nights() === count($this->plan->slots);
    }

    /** Practices a day that are at lights out. */
    private function nights(): int
    {
        return count(array_filter($this->plan->slots ?? [], fn (AnchorSlot $slot) => $slot->anchor->isNight()));
    }

    /** @return list<Prescription> */
    public function exercises(): array
    {
        return $this->routine?->exercises() ?? [$this->prescription];
    }

    /** Ended by the patient, when it has helped. */
    public function isOpen(): bool
    {
        return $this->asNeeded?->way === Way::Open;
    }

    /** A habit that is ticked, without being led. */
    public function isTicked(): bool
    {
        return $this->asNeeded?->way === Way::Ticked;
    }

    public function isRecovery(): bool
    {
        return $this->routine === null && $this->prescription->technique->isRecovery;
    }

    /** Breaths by which a practice is measured; 0 when it is measured by time. */
    public function countedBreaths(): int
    {
        return $this->routine === null ? $this->prescription->totalBreaths() : 0;
    }

    /** The exercise itself in seconds, without lead-in, settling and return. */
    public function seconds(): float
    {
        return $this->timeline()->exerciseMs() / 1000;
    }

    /**
     * The least that still counts; null when it would be no less than the whole.
     *
     * @throws InvalidValue when it cannot be prescribed
     */
    public function shortVersion(): ?Prescription
    {
        $changes = $this->short ?? $this->prescription->technique->short;
        if ($this->routine !== null || $changes === []) {
            return null;
        }
        $short = PrescriptionReader::changed($this->prescription, $changes);

        return $short->exerciseSeconds() < $this->prescription->exerciseSeconds() - 1e-9 ? $short : null;
    }

    /**
     * The least that still counts, as it is led; null when it would be no less than the whole. The steps of a routine that
     * are left keep their numbers.
     *
     * @throws InvalidValue when it cannot be prescribed
     */
    public function shortTimeline(): ?Timeline
    {
        $usual = $this->usualEnding(short: true);
        if ($this->routine === null) {
            $short = $this->shortVersion();

            return $short === null ? null : Compiler::compile($short, $usual);
        }
        $steps = $this->shortSteps();
        if ($steps === []) {
            return null;
        }
        $short = $this->routine->timeline($usual, $this->school, $steps);

        return $short->exerciseMs() > 0 && $short->exerciseMs() < $this->timeline()->exerciseMs() ? $short : null;
    }

    /** @return list<int> steps of a routine that are led on a bad day, counted from 0; empty when none were chosen */
    public function shortSteps(): array
    {
        $steps = is_array($this->short['steps'] ?? null) ? $this->short['steps'] : [];
        $numbers = array_map(fn (mixed $step) => is_numeric($step) ? (int) $step : -1, $steps);

        return array_values(array_filter(array_keys($this->routine->steps ?? []), fn (int $index) => in_array($index, $numbers, true)));
    }

    /** The ladder as edited, or as it follows from the technique, the school and what the patient can do; null for a routine. */
    public function ladder(Reach $reach = new Reach): ?Ladder
    {
        return $this->routine !== null ? null : ($this->ladder ?? Ladder::generate($this->prescription, $this->school, $reach));
    }

    /** One exercise of a routine, as an item of its own: what the rules look at. */
    public function ofStep(Prescription $prescription, bool $goesOn): self
    {
        return new self($this->lineage, $prescription, $this->plan, $this->asNeeded, $this->school, goesOn: $goesOn);
    }

    /** The same with other steps; everything around it stays. */
    public function asRoutine(Routine $routine): self
    {
        return new self(
            $this->lineage, $routine->exercises()[0], $this->plan, $this->asNeeded, $this->school, $routine, $this->why, $this->short,
            checks: $this->checks,
        );
    }

    /** @return non-empty-array<int, float> minutes of practice by ISO weekday, without lead-in and return; none as needed */
    public function minutesByWeekday(): array
    {
        $minutes = $this->plan === null ? 0.0 : $this->seconds() / 60;

        return array_map(
            fn (int $practices) => $practices * $minutes,
            $this->plan?->practicesByWeekday() ?? array_fill(1, 7, 0),
        );
    }

    /**
     * True when fields prescribe the same exercise, perhaps in another way: then it keeps its lineage.
     *
     * @param  array<string, mixed>  $fields
     */
    public function isSameExerciseAs(array $fields): bool
    {
        if ($this->routine !== null) {
            return ($fields['kind'] ?? '') === 'routine';
        }
        $prescription = $this->prescription;

        return $prescription->technique->key === ($fields['technique'] ?? null)
            && ($prescription->own === null || $prescription->own->name === ($fields['own_name'] ?? null));
    }
}
