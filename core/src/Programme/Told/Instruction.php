<?php

declare(strict_types=1);

namespace IvoryPace\Programme\Told;

use IvoryPace\Exercise\Told\ExerciseTold;
use IvoryPace\Exercise\Told\Part;
use IvoryPace\Exercise\Told\Sentence;
use IvoryPace\Programme\Item;

/** What a patient is told about an item of a programme, in the order in which it is told. */
final class Instruction
{
    /**
     * Of a routine it tells the steps by name; each is taught before it is led: {@see ExerciseTold::step()}.
     *
     * @param  bool  $isCareful  light-headedness is nothing harmless for this patient
     * @return list<Sentence>
     */
    public static function of(Item $item, bool $isCareful = false): array
    {
        return [
            ...($item->why === '' ? [] : [Sentence::own(Part::Why, $item->why)]),
            ...($item->routine === null
                ? ExerciseTold::all($item->prescription, $item->school, $isCareful)
                : RoutineWords::of($item->routine, $isCareful)),
            ...AgreedWords::of($item),
        ];
    }

    /** @return list<list<Sentence>> what is said before each exercise of a routine; empty for a single exercise */
    public static function steps(Item $item): array
    {
        $told = [];
        $before = [];
        foreach ($item->routine === null ? [] : $item->exercises() as $exercise) {
            $told[] = ExerciseTold::step($exercise, $item->school, $before);
            $before[] = $exercise;
        }

        return $told;
    }
}
