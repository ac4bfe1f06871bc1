<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Routine;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Ending;
use IvoryPace\Exercise\Position;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipes\Cues;
use IvoryPace\InvalidValue;

/** Exercises in order, with settling, free breathing and returning between them: one practice. */
final readonly class Routine
{
    public const MAX_STEPS = 20;

    public const MAX_MINUTES = 60;

    public const MAX_NAME = 60;

    /** Time to get from one position into the next. */
    private const MOVE_MS = 12_000;

    /**
     * @param  list<RoutineStep>  $steps  1–20, at least one exercise, an hour altogether at most
     *
     * @throws InvalidValue
     */
    public function __construct(public string $name, public array $steps)
    {
        if (trim($name) === '' || mb_strlen($name) > self::MAX_NAME) {
            throw InvalidValue::because('A routine has a name of at most '.self::MAX_NAME.' letters.');
        }
        if (count($steps) > self::MAX_STEPS) {
            throw InvalidValue::because('A routine of '.count($steps).' steps is longer than '.self::MAX_STEPS.'.');
        }
        if ($this->exercises() === []) {
            throw InvalidValue::because('A routine needs at least one exercise.');
        }
        if ($this->timeline()->totalMs() > self::MAX_MINUTES * 60_000) {
            throw InvalidValue::because(
                'A routine of '.ceil($this->timeline()->totalMs() / 60_000).' minutes is longer than '.self::MAX_MINUTES.'.',
            );
        }
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
     */
    public function timeline(?Ending $usual = null): Timeline
    {
        $segments = array_map(
            fn (Segment $segment) => $segment->inStep(1), Cues::bells($this->exercises()[0]->bellsFirst, 'cue.bell.begin'),
        );
        $position = null;
        $last = null;
        foreach ($this->steps as $index => $step) {
            $of = [];
            if ($step->prescription !== null) {
                $of = [...self::move($position, $step->prescription->position), ...Compiler::segments($step->prescription)];
                $position = $step->prescription->position;
                $last = $step->prescription;
            } elseif ($step->kind === StepKind::Free) {
                $of = [Cues::free($step->seconds / 60, ['cue.free-between'])];
            } elseif ($step->kind === StepKind::Settle) {
                $of = [new Segment(SegmentRole::Settle, [new Cue(CueKind::Settle, 0, (int) round($step->seconds * 1000), 'cue.settle')])];
            } else {
                $of = [Compiler::returnFromLying()];
                $position = Position::Seated;
                $last = null;
            }
            array_push($segments, ...array_map(fn (Segment $segment) => $segment->inStep($index + 1), $of));
        }
        $ending = $last === null ? Cues::bells(1, 'cue.bell.end') : Compiler::ending($last, $usual);

        return new Timeline([...$segments, ...array_map(fn (Segment $segment) => $segment->inStep(max(1, count($this->steps))), $ending)]);
    }

    /** @return list<Segment> */
    private static function move(?Position $from, Position $to): array
    {
        return $from === null || $from === $to ? []
            : [new Segment(SegmentRole::Settle, [new Cue(CueKind::Move, 0, self::MOVE_MS, "position.{$to->value}")])];
    }
}
