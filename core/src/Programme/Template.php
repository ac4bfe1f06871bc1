<?php

declare(strict_types=1);

namespace IvoryPace\Programme;

use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\Routine\Shipped;
use IvoryPace\Exercise\School;

/** A programme to start from, without a patient in it. The rules look at it when it is used for one. */
final readonly class Template
{
    public const MAX_NAME = 60;

    /** @param  list<array<string, mixed>>  $items  fields of each */
    public function __construct(public string $name, public School $school, public array $items)
    {
    }

    /** @return list<self> shipped ones, of our own making */
    public static function shipped(): array
    {
        $routine = function (string $key): array {
            $fields = RoutineFields::write(Shipped::routines()[$key]);

            return ['kind' => 'routine', 'routine_name' => $fields['name'], 'steps' => $fields['steps']];
        };

        return [
            new self('Over-breathing and panic', School::GentleControl, [
                ['technique' => 'diaphragmatic', 'minutes' => 3, 'times_a_day' => 2, 'why' => 'Small and low is enough air.'],
                ['technique' => 'extended-exhale', 'ratio' => '2:3', 'position' => 'seated', 'breaths' => 12, 'times_a_day' => 2],
                [
                    'technique' => 'soft-exhale', 'ratio' => '2:4', 'position' => 'seated', 'breaths' => 6, 'as_needed' => true,
                    'use_when' => 'panic begins to rise', 'daily_most' => 5,
                ],
            ]),
            new self('Trouble falling asleep', School::GentleControl, [
                [...$routine('falling-asleep'), 'times_a_day' => 1, 'why' => 'The same order every night.'],
                [
                    'technique' => 'extended-exhale', 'ratio' => '3:5', 'position' => 'seated', 'breaths' => 10, 'times_a_day' => 1,
                    'anchors' => [['anchor' => 'evening', 'from' => '19:30', 'to' => '22:00', 'days' => [1, 2, 3, 4, 5, 6, 7]]],
                ],
                [
                    'technique' => 'reverse-count', 'position' => 'supine', 'as_needed' => true, 'use_when' => 'you wake at night',
                    'daily_most' => 3,
                ],
            ]),
            new self('Breathlessness on effort', School::GentleControl, [
                ['technique' => 'pursed-exhale', 'ratio' => '2:4', 'position' => 'seated', 'breaths' => 10, 'times_a_day' => 3],
                ['technique' => 'walking', 'ratio' => '2:3', 'breaths' => 40, 'times_a_day' => 1],
                ['technique' => 'forward-lean', 'use_when' => 'breath is short', 'daily_most' => 10],
            ]),
            new self('Tension with upper-chest breathing', School::GentleControl, [
                ['technique' => 'diaphragmatic', 'minutes' => 4, 'times_a_day' => 2],
                ['technique' => 'tense-release', 'position' => 'reclined', 'times_a_day' => 1],
                [...$routine('end-of-shift'), 'times_a_day' => 1],
            ]),
            new self('Rib and trunk control', School::RibMechanics, [
                ['technique' => 'ribs-down', 'minutes' => 3, 'times_a_day' => 1],
                ['technique' => 'rib-release', 'breaths' => 4, 'times_a_day' => 2],
                [...$routine('trunk-and-ribs'), 'times_a_day' => 1],
            ]),
        ];
    }
}
