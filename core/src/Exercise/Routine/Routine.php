<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Routine;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Demand;
use IvoryPace\Exercise\Ending;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Exercise\Recipes\Cues;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Told\ExerciseTold;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\InvalidValue;

/** Exercises in order, with settling, free breathing and returning between them: one practice. */
final readonly class Routine
{
    public const MAX_STEPS = 20;

    public const MAX_MINUTES = 60;

    public const MAX_NAME = 60;

    /** Time to get from one position into the next. */
    private const MOVE_MS = 12_000;

    /** Time to say a sentence of some ten words. */
    private const SENTENCE_MS = 5_000;

    /** @var list<RoutineStep> */
    public array $steps;

    /**
     * @param  list<RoutineStep>  $steps  1–20, at least one exercise, an hour altogether at most
     *
     * @throws InvalidValue
     */
    public function __construct(public string $name, array $steps)
    {
        $this->steps = self::withoutDoubling($steps);
        if (trim($name) === '' || mb_strlen($name) > self::MAX_NAME) {
            throw InvalidValue::because('A routine has a name of at most '.self::MAX_NAME.' letters.');
        }
        if (count($this->steps) > self::MAX_STEPS) {
            throw InvalidValue::because('A routine of '.count($this->steps).' steps is longer than '.self::MAX_STEPS.'.');
        }
        if ($this->exercises() === []) {
            throw InvalidValue::because('A routine needs at least one exercise.');
        }
        $minutes = $this->ledMs() / 60_000;
        if ($minutes > self::MAX_MINUTES) {
            throw InvalidValue::because('A routine of '.ceil($minutes).' minutes is longer than '.self::MAX_MINUTES.'.');
        }
    }

    /** Without what is said before a step and without getting up: neither is prescribed. */
    private function ledMs(): int
    {
        $around = [SegmentRole::Teach, SegmentRole::Return];

        return array_sum(array_map(
            fn (Segment $segment) => in_array($segment->role, $around, true) ? 0 : $segment->durationMs(), $this->timeline()->segments,
        ));
    }

    /**
     * Shoulders that have been rolled are not rolled again before the first breath.
     *
     * @param  list<RoutineStep>  $steps
     * @return list<RoutineStep>
     */
    private static function withoutDoubling(array $steps): array
    {
        $hasRolled = false;
        foreach ($steps as $index => $step) {
            $prescription = $step->prescription;
            if ($hasRolled && ($prescription->parameters['prelude'] ?? 0.0) === 1.0 && $prescription !== null) {
                $steps[$index] = RoutineStep::exercise(
                    PrescriptionReader::changed($prescription, ['parameters' => ['prelude' => 2.0] + $prescription->parameters]),
                );
            }
            $hasRolled = $hasRolled || $prescription?->demandsThat(Demand::RollsShoulders) === true;
        }

        return $steps;
    }

    /** @return list<Prescription> */
    public function exercises(): array
    {
        return array_values(array_filter(array_map(fn (RoutineStep $step) => $step->prescription, $this->steps)));
    }

    /**
     * The whole practice; every cue carries the number of its step.
     *
     * @param  Ending|null  $usual  how it ends where the last exercise leaves it open
     * @param  School  $school  whose criterion is told with each step
     * @param  list<int>|null  $only  the steps that are led, counted from 0; all when null. They keep their numbers.
     */
    public function timeline(?Ending $usual = null, School $school = School::GentleControl, ?array $only = null): Timeline
    {
        $led = array_filter(
            $this->steps, fn (int $index) => $only === null || in_array($index, $only, true), ARRAY_FILTER_USE_KEY,
        );
        $segments = self::bellsBefore($led);
        $position = $last = null;
        $before = [];
        foreach ($led as $index => $step) {
            $of = [];
            if ($step->prescription !== null) {
                $to = $step->prescription->position;
                $getsUp = $position?->isLying() === true && ! $to->isLying();
                $before = $getsUp ? [] : $before;
                $of = [
                    ...($getsUp ? [Compiler::returnFromLying($last)] : []),
                    self::teach($step->prescription, $school, $before, $position), ...Compiler::segments($step->prescription),
                ];
                $position = $to;
                $before[] = $last = $step->prescription;
            } elseif ($step->kind === StepKind::Free) {
                $of = [Cues::free($step->seconds / 60, ['cue.free-between'])];
            } elseif ($step->kind === StepKind::Settle) {
                $of = [new Segment(SegmentRole::Settle, [new Cue(CueKind::Settle, 0, (int) round($step->seconds * 1000), 'cue.settle')])];
            } else {
                $of = [Compiler::returnFromLying($last)];
                $position = Position::Seated;
                $last = null;
                $before = [];
            }
            array_push($segments, ...array_map(fn (Segment $segment) => $segment->inStep($index + 1), $of));
        }
        $ending = $last === null ? Cues::bells(1, 'cue.bell.end') : Compiler::ending($last, $usual);

        return new Timeline([...$segments, ...array_map(fn (Segment $segment) => $segment->inStep(max(1, count($this->steps))), $ending)]);
    }

    /**
     * @param  array<int, RoutineStep>  $led
     * @return list<Segment> the bells of the first exercise, before anything else
     */
    private static function bellsBefore(array $led): array
    {
        $first = array_values(array_filter(array_map(fn (RoutineStep $step) => $step->prescription, $led)))[0] ?? null;

        return array_map(
            fn (Segment $segment) => $segment->inStep((int) array_key_first($led) + 1),
            Cues::bells($first->bellsFirst ?? 0, 'cue.bell.begin'),
        );
    }

    /**
     * One cue for each sentence; getting from one position into the next takes its time.
     *
     * @param  list<Prescription>  $before
     */
    private static function teach(Prescription $prescription, School $school, array $before, ?Position $from): Segment
    {
        $at = 0;
        $cues = [];
        foreach (ExerciseTold::step($prescription, $school, $before) as $sentence) {
            $moves = $sentence->part === Part::Position && $from !== null && $from !== $prescription->position;
            $ms = $moves ? self::MOVE_MS : self::SENTENCE_MS;
            $cues[] = new Cue($moves ? CueKind::Move : CueKind::Listen, $at, $ms, $sentence->key);
            $at += $ms;
        }

        return new Segment(SegmentRole::Teach, $cues);
    }
}
