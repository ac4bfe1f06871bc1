<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Routine;

use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\Fields;

/** A routine as plain fields, read and written: name, steps (kind; seconds, or the fields of an exercise). */
final class RoutineFields
{
    /**
     * @param  array<string, mixed>  $input
     * @return array{Routine|null, array<string, string>} the routine, and errors by field: "name", "steps", "steps.2.ratio"
     */
    public static function read(array $input): array
    {
        $fields = new Fields($input);
        $given = array_values($fields->list('steps'));
        if (count($given) > Routine::MAX_STEPS) {
            // Not looked at one by one: what is too long to prescribe is too long to read.
            return [null, ['steps' => 'A routine of '.count($given).' steps is longer than '.Routine::MAX_STEPS.'.']];
        }
        $steps = [];
        foreach ($given as $index => $step) {
            [$read, $errors] = self::step(is_array($step) ? $step : []);
            $fields->add(array_combine(array_map(fn (string $field) => "steps.$index.$field", array_keys($errors)), $errors));
            if ($read !== null) {
                $steps[] = $read;
            }
        }
        $name = $fields->attempt('name', fn () => $fields->shortText('name', Routine::MAX_NAME, 'The name'));
        if ($name === '') {
            $fields->add(['name' => 'Give the routine a name.']);
        }
        $routine = $fields->errors() !== [] ? null : $fields->attempt('steps', fn () => new Routine((string) $name, $steps));

        return [$routine, $fields->errors()];
    }

    /** @return array{name: string, steps: list<array<string, mixed>>} */
    public static function write(Routine $routine): array
    {
        return ['name' => $routine->name, 'steps' => array_map(fn (RoutineStep $step) => match (true) {
            $step->prescription !== null => ['kind' => $step->kind->value, ...PrescriptionFields::write($step->prescription)],
            $step->kind === StepKind::Return => ['kind' => $step->kind->value],
            default => ['kind' => $step->kind->value, 'seconds' => $step->seconds],
        }, $routine->steps)];
    }

    /**
     * @param  array<mixed>  $input
     * @return array{RoutineStep|null, array<string, string>}
     */
    private static function step(array $input): array
    {
        /** @var array<string, mixed> $input */
        $fields = new Fields($input);
        $kind = $fields->attempt('kind', fn () => $fields->choice(StepKind::class, 'kind'));
        if ($kind === StepKind::Exercise) {
            [$prescription, $errors] = PrescriptionReader::read($input);
            $fields->add($errors);
            $step = $prescription === null ? null : $fields->attempt('technique', fn () => RoutineStep::exercise($prescription));
        } else {
            $step = match ($kind) {
                null => null,
                StepKind::Return => RoutineStep::goingBack(),
                default => $fields->attempt('seconds', fn () => RoutineStep::timed($kind, $fields->number('seconds', 'seconds'))),
            };
        }

        return [$step, $fields->errors()];
    }
}
