<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Prescription;

/**
 * Which of several wordings of one text fits a prescription: a hand can only be felt where it lies, a bed only by someone
 * who lies, and a sound only comes from an open mouth. The other wording of a key is the key with an ending.
 */
final class Worded
{
    /** Speak of a hand on the belly. */
    private const BELLY_HAND = ['exercise.diaphragmatic.right.belly-first', 'exercise.diaphragmatic.attend.belly-hand'];

    /** Speak of a hand on the upper chest, or of both. */
    private const CHEST_HAND = [
        'exercise.diaphragmatic.right.chest-quiet', 'exercise.diaphragmatic.attend.chest-hand',
        'exercise.pursed-exhale.right.top-hand-quiet', 'exercise.long-exhale.attend.hands', 'exercise.long-exhale.attend.which-moves',
    ];

    /** Speak of hands on the ribs. */
    private const RIB_HANDS = ['exercise.rib-release.right.widen-and-return', 'cue.how.into-hands'];

    /** Speak of what one lies on. */
    private const LYING = ['cue.tense.elbows', 'exercise.neck-release.right.small-slow'];

    /** Speak of arms that carry; with the back to a wall they do not. */
    private const AT_THE_WALL = ['exercise.forward-lean.right.shoulders-supported', 'cue.lean.lean'];

    /** @return string the translation key that fits */
    public static function key(string $key, Prescription $prescription): string
    {
        $hands = $prescription->hands;
        $fits = match (true) {
            in_array($key, self::BELLY_HAND, true) => $hands->feelTheBelly(),
            in_array($key, self::CHEST_HAND, true) => $hands->feelTheChest(),
            in_array($key, self::RIB_HANDS, true) => $hands->feelTheRibs(),
            in_array($key, self::LYING, true) => $prescription->position->isLying(),
            in_array($key, self::AT_THE_WALL, true) => $prescription->position !== Position::StandingAtWall,
            $key === 'cue.how.with-a-sound' => $prescription->routeOut->isByMouth(),
            default => true,
        };

        return $fits ? $key : "$key-otherwise";
    }

    /** The other wording of a key; null where it has only one. */
    public static function other(string $key): ?string
    {
        $several = [...self::BELLY_HAND, ...self::CHEST_HAND, ...self::RIB_HANDS, ...self::LYING, ...self::AT_THE_WALL];

        return in_array($key, $several, true) ? "$key-otherwise" : null;
    }

    /**
     * @param  list<string>  $keys
     * @return list<string>
     */
    public static function keys(array $keys, Prescription $prescription): array
    {
        return array_map(fn (string $key) => self::key($key, $prescription), $keys);
    }
}
