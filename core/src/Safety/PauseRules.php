<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use DateTimeImmutable;
use IvoryPace\Health\StopClass;

/** When exercises are paused by themselves, and until when. Recovery never is. Common practice. */
final class PauseRules
{
    public const GET_HELP = 'PAUSE-GET-HELP';

    public const TWICE_IN_THREE = 'PAUSE-TWICE-IN-THREE';

    /** A new fact about the patient makes an exercise need a reason that nobody has given. */
    public const NEW_FINDING = 'PAUSE-NEW-FINDING';

    /** A red flag was answered or measured: nothing is practised until a practitioner says that it may go on. */
    public const RED_FLAG = 'PAUSE-RED-FLAG';

    /** A practitioner has paused it, for a reason that the patient reads. */
    public const BY_PRACTITIONER = 'PAUSE-BY-PRACTITIONER';

    /** So many of the last practices are looked at. */
    public const LOOK_AT = 3;

    /** So many of them stopped for a symptom pause the exercise. */
    public const STOPS = 2;

    /**
     * What a practice brings about, also one that is heard of late: what came after it does not undo it.
     *
     * @param  list<EndedPractice>  $practices  of this exercise and of those that share its stops, by when they ended, with
     *                                          the one that has been heard of; those that somebody has looked at left out
     * @param  string  $heard  its id
     * @param  bool  $isRecovery  a recovery exercise is never paused itself; getting help still pauses the others
     */
    public static function after(array $practices, string $heard, bool $isRecovery = false): ?PauseDecision
    {
        $place = null;
        foreach ($practices as $index => $practice) {
            $place = $practice->id === $heard ? $index : $place;
        }
        if ($place === null) {
            return null;
        }
        if ($practices[$place]->end === StopClass::GetHelp) {
            return new PauseDecision(self::GET_HELP, everyExercise: true, from: $practices[$place]->endedAt);
        }
        if ($isRecovery) {
            return null;
        }
        // It may be the last of three, or one of those before a later stop.
        for ($last = $place; $last < min(count($practices), $place + self::LOOK_AT); $last++) {
            $ends = array_map(
                fn (EndedPractice $each) => $each->end,
                array_slice($practices, max(0, $last + 1 - self::LOOK_AT), min($last + 1, self::LOOK_AT)),
            );
            if (self::isTwiceInThree(array_reverse($ends))) {
                return new PauseDecision(self::TWICE_IN_THREE, everyExercise: false, from: $practices[$last]->endedAt);
            }
        }

        return null;
    }

    /**
     * Whether stops pause an exercise now.
     *
     * @param  list<StopClass|null>  $ends  how its last practices ended, latest first
     */
    public static function isTwiceInThree(array $ends): bool
    {
        $latest = $ends[0] ?? null;
        $stops = array_filter(array_slice($ends, 0, self::LOOK_AT), fn (?StopClass $end) => $end?->isSymptom() === true);

        return $latest?->isSymptom() === true && count($stops) >= self::STOPS;
    }

    /**
     * Whether a practice still counts after somebody has looked: only what they cannot have known of.
     *
     * @param  DateTimeImmutable|null  $lookedAt  null when nobody has
     */
    public static function stillCounts(DateTimeImmutable $heardAt, ?DateTimeImmutable $lookedAt): bool
    {
        return $lookedAt === null || $heardAt > $lookedAt;
    }

    /** Whether looking at a pause also settles the stops before it. */
    public static function settlesStops(string $rule): bool
    {
        return in_array($rule, [self::GET_HELP, self::TWICE_IN_THREE], true);
    }

    /**
     * Whether a pause that nobody has looked at stands in the way of another programme, in which the exercise would come
     * back unpaused. What a new finding brought is looked at by building it: the rules ask for a reason then.
     */
    public static function barsANewProgramme(string $rule): bool
    {
        return $rule !== self::NEW_FINDING;
    }

    /**
     * What the devices need, because they apply the same rules without a network.
     *
     * @return array{look_at: int, stops: int}
     */
    public static function forDevices(): array
    {
        return ['look_at' => self::LOOK_AT, 'stops' => self::STOPS];
    }
}
