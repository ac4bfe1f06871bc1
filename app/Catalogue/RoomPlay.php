<?php

declare(strict_types=1);

namespace App\Catalogue;

use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Timeline;

/** What the player needs to lead an exercise in the room: the timeline, and the words of its cues. */
final class RoomPlay
{
    /**
     * @param  array<string, mixed>  $ridge
     * @return array<string, mixed>
     */
    public static function of(string $name, Timeline $timeline, array $ridge): array
    {
        $keys = ['cue.side.left', 'cue.side.right', 'cue.lead-in'];
        foreach ($timeline->cues() as $cue) {
            $keys = [...$keys, $cue->instruction, ...array_filter(array_map(fn (Beat $beat) => $beat->word, $cue->beats))];
        }
        $words = [];
        foreach (array_unique($keys) as $key) {
            $words[$key] = (string) __($key);
        }

        return ['name' => $name, 'timeline' => $timeline, 'ridge' => $ridge, 'words' => $words];
    }
}
