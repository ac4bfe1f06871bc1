<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Breath\CueKind;
use IvoryPace\Breath\Timeline\Beat;
use IvoryPace\Breath\Timeline\Cue;
use IvoryPace\Breath\Timeline\Side;

/**
 * What is shown, said and felt of a cue, so that a practice can be followed by sight, by ear or by touch alone. Words are
 * translation keys; those of one group belong together without a comma.
 */
final class Spoken
{
    /** The route is said so often in a set; then the short word is enough. */
    public const BREATHS_IN_FULL = 2;

    /** On and off in ms, told apart by length and number. Our own. */
    private const BUZZ = [
        'lead-in' => [20], 'empty' => [320], 'inhale' => [70], 'top-up' => [30, 40, 30], 'hold' => [30, 60, 30, 60, 30],
        'exhale' => [220], 'hum' => [220], 'rest' => [30], 'retention' => [30, 60, 30, 60, 30], 'release' => [220], 'free' => [40, 120, 40],
        'tense' => [70], 'let-go' => [220], 'region' => [40], 'number' => [15], 'step' => [20], 'move' => [40, 60, 90],
        'listen' => [40, 120, 40], 'bell' => [120, 80, 120], 'settle' => [60, 120, 60], 'return' => [90, 60, 40],
    ];

    /** Kinds whose label is a number: the beats say it. */
    private const BY_NUMBER = [CueKind::Number];

    /** Kinds that have a short word. */
    private const SHORT = [
        CueKind::Inhale, CueKind::TopUp, CueKind::Hold, CueKind::Exhale, CueKind::Hum, CueKind::Rest, CueKind::Retention, CueKind::Release,
        CueKind::Empty, CueKind::Tense, CueKind::LetGo,
    ];

    /** A bell before the last one speaks for itself. */
    private const ONLY_RINGS = 'cue.bell.ring';

    /** Instructions that are as short as the short word, and say more. */
    private const SHORT_ENOUGH = ['cue.soft-pause', 'cue.catch'];

    /** @return list<list<string>> groups of words */
    public static function shown(Cue $cue): array
    {
        $side = $cue->side === Side::None ? null : "cue.side.{$cue->side->value}";
        $first = match (true) {
            $side === null => [[$cue->instruction]],
            $cue->kind === CueKind::Region => [[$side, $cue->instruction]],
            default => [[$cue->instruction], [$side]],
        };

        return $cue->how === null ? $first : [...$first, [$cue->how]];
    }

    /**
     * What may be said, the longest first: the first one that fits into the time is taken. A number says itself.
     *
     * @return list<list<list<string>>> each a list of groups
     */
    public static function lines(Cue $cue): array
    {
        if ($cue->instruction === self::ONLY_RINGS) {
            return [];
        }
        if (in_array($cue->kind, self::BY_NUMBER, true)) {
            return [array_map(fn (Beat $beat) => ["number.{$beat->number}"], $cue->beats)];
        }
        $whole = self::shown($cue);
        $last = $cue->announcesLast ? [['cue.last']] : [];
        $side = $cue->side === Side::None || $cue->kind === CueKind::Region ? [] : [["cue.side.{$cue->side->value}"]];
        $isItsOwn = in_array($cue->instruction, self::SHORT_ENOUGH, true);
        $short = match (true) {
            $isItsOwn => [[$cue->instruction]],
            in_array($cue->kind, self::SHORT, true) => [["cue.short.{$cue->kind->value}"], ...$side],
            default => null,
        };
        $isInFull = $cue->place->breath <= self::BREATHS_IN_FULL || $cue->announcesLast;
        $lines = $isInFull || $short === null ? [[...$last, ...$whole], $whole] : [];
        if ($cue->how !== null && ($isInFull || $short === null)) {
            $lines[] = array_slice($whole, 0, -1);
        }

        return array_values(array_unique([...$lines, ...($short === null ? [] : [$short])], SORT_REGULAR));
    }

    /** @return list<int> on and off in ms, beginning with on */
    public static function buzz(CueKind $kind): array
    {
        return self::BUZZ[$kind->value];
    }
}
