<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Exercise\Ladder\Rung;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\Routine\RoutineFields;

/** An item as plain fields, the form in which it is stored and edited; {@see DraftReader} reads it back. */
final class ItemFields
{
    /** @return array<string, mixed> */
    public static function write(Item $item): array
    {
        return [
            ...($item->routine === null ? self::exercise($item) : [
                'kind' => 'routine', 'routine_name' => $item->routine->name, 'steps' => RoutineFields::write($item->routine)['steps'],
            ]),
            'school' => $item->school->value,
            'short' => $item->short,
            'why' => $item->why === '' ? null : $item->why,
            'checks' => array_map(fn (SelfCheck $check) => $check->value, $item->checks),
            'as_needed' => $item->asNeeded !== null,
            'use_when' => $item->asNeeded?->useWhen,
            'daily_most' => $item->asNeeded?->dailyMost,
            'way' => $item->asNeeded?->way->value,
            'times_a_day' => $item->plan === null ? null : count($item->plan->slots),
            'anchors' => $item->plan === null ? [] : PlanFields::write($item->plan),
        ];
    }

    /** @return array<string, mixed> */
    private static function exercise(Item $item): array
    {
        return [
            'kind' => 'exercise',
            ...PrescriptionFields::write($item->prescription),
            'ladder' => $item->ladder === null ? null : array_map(
                fn (Rung $rung) => ['set' => $rung->set, 'days' => $rung->days], array_slice($item->ladder->rungs, 1),
            ),
        ];
    }
}
