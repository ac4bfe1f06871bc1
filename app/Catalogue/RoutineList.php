<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\Clinic;
use App\Models\OwnRoutine;
use App\Models\OwnWork;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\Routine\RoutineStep;
use IvoryPace\Exercise\Routine\Shipped;

/** The shipped routines and the clinic's own. */
final class RoutineList
{
    /** @return list<array<string, mixed>> */
    public static function of(Clinic $clinic): array
    {
        $list = [];
        foreach (self::all($clinic) as $key => $routine) {
            $list[] = [
                ...self::figures($routine), 'key' => (string) $key, 'name' => $routine->name,
                'is_own' => ! isset(Shipped::routines()[$key]),
            ];
        }

        return $list;
    }

    /** @return list<array{name: string, steps: list<array<string, mixed>>}> to prescribe from */
    public static function choices(Clinic $clinic): array
    {
        return array_values(array_map(RoutineFields::write(...), self::all($clinic)));
    }

    public static function find(Clinic $clinic, string $key): ?Routine
    {
        return self::all($clinic)[$key] ?? null;
    }

    /** @return array<string, mixed> */
    public static function figures(Routine $routine): array
    {
        $timeline = $routine->timeline();

        return [
            'steps' => array_map(fn (RoutineStep $step) => [
                'label' => $step->label(),
                'summary' => $step->prescription?->summary() ?? ($step->seconds > 0 ? "{$step->seconds} s" : ''),
                'is_exercise' => $step->prescription !== null,
            ], $routine->steps),
            'exercise_ms' => $timeline->exerciseMs(),
            'total_ms' => $timeline->totalMs(),
            'breaths' => $timeline->breaths(),
            'about' => $timeline->isAbout(),
        ];
    }

    /** @return array<string, Routine> the clinic's own first */
    private static function all(Clinic $clinic): array
    {
        $own = [];
        foreach (OwnRoutine::query()->where('clinic_id', $clinic->id)->orderBy('name')->limit(OwnWork::MOST)->get() as $row) {
            [$routine] = RoutineFields::read($row->fields);
            if ($routine !== null) {
                $own[$row->id] = $routine;
            }
        }

        return [...$own, ...Shipped::routines()];
    }
}
