<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\Counting;
use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Place;
use IvoryPace\Breath\Timeline\Segment;
use IvoryPace\Breath\Timeline\SegmentRole;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;
use IvoryPace\Exercise\Told\Worded;

/** Muscle groups one after the other: tense for some counts, let go, so many times each; gentle breathing between groups. */
final readonly class TenseAndLetGo implements Recipe
{
    /** In the order in which they are added. */
    public const GROUPS = ['shoulders', 'elbows', 'toes', 'fists', 'face', 'thighs'];

    private const BETWEEN_MS = 12_000;

    public function segments(Prescription $prescription): array
    {
        $groups = array_slice(self::GROUPS, 0, (int) $prescription->parameter('groups'));
        $counts = (int) $prescription->parameter('tense');
        $countMs = $prescription->countLength->seconds * 1000;
        $tenseMs = (int) round($counts * $countMs);
        $segments = [Cues::settle()];
        foreach ($groups as $index => $group) {
            $cues = [];
            $at = 0;
            $place = new Place(round: $index + 1);
            for ($time = 0; $time < self::timesOf($prescription, $index); $time++) {
                $cues[] = new Cue(
                    CueKind::Tense, $at, $tenseMs, Worded::key("cue.tense.$group", $prescription),
                    beats: Cues::beats($at, $tenseMs, $counts, $countMs, Counting::Up),
                    place: $place,
                );
                $cues[] = new Cue(CueKind::LetGo, $at + $tenseMs, 2 * $tenseMs, 'cue.let-go', place: $place);
                $at += 3 * $tenseMs;
            }
            $cues[] = new Cue(CueKind::Free, $at, self::BETWEEN_MS, 'cue.breathe-between', place: $place);
            $segments[] = new Segment(SegmentRole::Exercise, $cues);
        }

        return $segments;
    }

    /** How often a group, counted from 0: its own number, or as often as the first. */
    public static function timesOf(Prescription $prescription, int $group): int
    {
        $own = (int) ($prescription->parameters['times-'.($group + 1)] ?? 0);

        return $own > 0 ? $own : (int) $prescription->parameter('times');
    }

    public function cycles(Prescription $prescription): array
    {
        return [];
    }
}
