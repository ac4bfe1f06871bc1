<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

/** When a stop pauses exercises by itself. Common practice. */
final class PauseRules
{
    public const GET_HELP = 'PAUSE-GET-HELP';

    public const TWICE_IN_THREE = 'PAUSE-TWICE-IN-THREE';

    /** A new fact about the patient makes an exercise need a reason that nobody has given. */
    public const NEW_FINDING = 'PAUSE-NEW-FINDING';

    /** So many of the last practices are looked at. */
    public const LOOK_AT = 3;

    private const STOPS = 2;

    /**
     * What the latest practice of an exercise brings about.
     *
     * @param  list<StopClass|null>  $lastOfExercise  how the exercise's practices ended, latest first; null when
     *                                                it was not stopped. Practices before the exercise was last
     *                                                looked at are left out by the caller.
     * @param  bool  $isRecovery  a recovery exercise is never paused itself; getting help still pauses the others
     */
    public static function afterPractice(array $lastOfExercise, bool $isRecovery = false): ?PauseDecision
    {
        $latest = $lastOfExercise[0] ?? null;
        if ($latest === StopClass::GetHelp) {
            return new PauseDecision(self::GET_HELP, everyExercise: true);
        }
        $stops = array_filter(array_slice($lastOfExercise, 0, self::LOOK_AT), fn (?StopClass $end) => $end?->isSymptom() === true);

        return count($stops) >= self::STOPS && ! $isRecovery ? new PauseDecision(self::TWICE_IN_THREE, everyExercise: false) : null;
    }

    /**
     * Whether a pause that nobody has looked at stands in the way of another programme, in which the exercise would come
     * back unpaused. What a new finding brought is looked at by building it: the rules ask for a reason then.
     */
    public static function barsANewProgramme(string $rule): bool
    {
        return $rule !== self::NEW_FINDING;
    }
}
