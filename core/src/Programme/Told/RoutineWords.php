<?php

declare(strict_types=1);

namespace IvoryPace\Programme\Told;

use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineStep;
use IvoryPace\Exercise\Routine\StepKind;
use IvoryPace\Exercise\Told\BodyWords;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Exercise\Told\PlainName;
use IvoryPace\Exercise\Told\RightWords;
use IvoryPace\Exercise\Told\Sentence;
use IvoryPace\Numbers;

/** A routine before it begins: what is needed for all of it, its steps by name, and what may be felt. */
final class RoutineWords
{
    /** @return list<Sentence> */
    public static function of(Routine $routine, bool $isCareful): array
    {
        $exercises = $routine->exercises();
        $all = fn (callable $of): array => array_values(array_unique(array_merge(...array_map($of, $exercises)), SORT_REGULAR));

        return [
            ...$all(fn (Prescription $prescription) => array_filter(
                BodyWords::of($prescription), fn (Sentence $sentence) => $sentence->part === Part::With,
            )),
            ...array_map(self::step(...), $routine->steps, array_keys($routine->steps)),
            ...$all(fn (Prescription $prescription) => RightWords::felt($prescription, $isCareful)),
            ...RightWords::stop($isCareful, ...$exercises),
        ];
    }

    /** "2 Longer breath out, sitting, 8 breaths." */
    private static function step(RoutineStep $step, int $index): Sentence
    {
        $prescription = $step->prescription;
        if ($prescription === null) {
            return new Sentence(Part::Steps, $step->kind === StepKind::Return ? 'told.step.return' : "told.step.{$step->kind->value}", [
                'n' => $index + 1, ...($step->kind === StepKind::Return ? [] : ['s' => Numbers::print($step->seconds)]),
            ]);
        }
        $name = PlainName::of($prescription);
        $much = AgreedWords::much($prescription, Part::Steps, 'step');

        return new Sentence(Part::Steps, $much->key, [
            'n' => $index + 1, 'name' => $prescription->own === null ? ['key' => $name] : $name,
            'position' => ['key' => "sheet.position.{$prescription->position->value}"], ...$much->values,
        ]);
    }
}
