<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Language\Told;
use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Timeline;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\School;
use IvoryPace\Exercise\Told\ExerciseTold;

/** What the player needs to lead an exercise in the room: the timeline, and the words of its cues. */
final class RoomPlay
{
    /**
     * @param  array<string, mixed>  $ridge
     * @param  Routine|null  $routine  whose steps are taught before they are led
     * @return array<string, mixed>
     */
    public static function of(
        string $name, Timeline $timeline, array $ridge, ?Routine $routine = null, School $school = School::GentleControl,
    ): array {
        $keys = ['cue.side.left', 'cue.side.right', 'cue.lead-in'];
        foreach ($timeline->cues() as $cue) {
            $keys = [
                ...$keys, $cue->instruction, ...array_filter([$cue->how]),
                ...array_filter(array_map(fn (Beat $beat) => $beat->word, $cue->beats)),
            ];
        }
        $words = [];
        foreach (array_unique($keys) as $key) {
            $words[$key] = (string) __($key);
        }

        return ['name' => $name, 'timeline' => $timeline, 'ridge' => $ridge, 'words' => $words + self::taught($routine, $school)];
    }

    /** @return array<string, string> each sentence before a step, by the number of the step and its key */
    private static function taught(?Routine $routine, School $school): array
    {
        $words = [];
        foreach ($routine->steps ?? [] as $index => $step) {
            foreach ($step->prescription === null ? [] : ExerciseTold::anyStep($step->prescription, $school) as $sentence) {
                $words[($index + 1).":{$sentence->key}"] = Told::say($sentence);
            }
        }

        return $words;
    }
}
