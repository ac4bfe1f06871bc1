<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

use IvoryPace\Assessment\Measure;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Numbers;
use IvoryPace\Programme\Goal;

/** A goal whose measure is taken in the room: seconds of an exhale, centimetres of the ribs, breaths a minute. */
final class GoalMeasure
{
    /** @return list<Measure> that are a number of which less or more may be a goal */
    public static function all(): array
    {
        return Measure::ofEveryone();
    }

    /** @return Measure|null by its name, in small letters or large; null for a symptom, or for what only the patient can tell */
    public static function of(Goal $goal): ?Measure
    {
        $name = mb_strtolower(trim($goal->measure));
        foreach (self::all() as $measure) {
            if (mb_strtolower($measure->label()) === $name) {
                return $measure;
            }
        }

        return null;
    }

    /** "Comfortable exhale or hum at least 8 s", "evening tension at most 3". */
    public static function inWords(Goal $goal): string
    {
        $measure = self::of($goal);

        return $goal->summary().($measure === null ? '' : " {$measure->unit()}");
    }

    /** "8 s or more", for what stands beside the values. */
    public static function target(Goal $goal): string
    {
        $unit = self::of($goal)?->unit();

        return Numbers::print($goal->target).($unit === null ? '' : " $unit").($goal->atMost ? ' or less' : ' or more');
    }

    /**
     * Days for which the goal has been reached: from the first of the latest values at the target, with none off it between,
     * to today. What is measured once a month stands until it is measured again.
     *
     * @param  list<array{PatientDay, float}>  $values  in order of time
     */
    public static function daysReached(Goal $goal, array $values, PatientDay $today): int
    {
        $since = null;
        foreach ($values as [$day, $value]) {
            $since = $goal->isReachedBy($value) ? ($since ?? $day) : null;
        }

        return $since === null ? 0 : $since->daysUntil($today) + 1;
    }
}
