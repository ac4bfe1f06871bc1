<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Told;

use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\School;

/**
 * What a patient is told about one exercise, composed from the prescription: this position, these hands, these props, this
 * route, this size. Everything that speaks to a patient takes its sentences from here.
 */
final class ExerciseTold
{
    /** What is not said again where the step before has said it: it stays as it is. */
    private const STAYS = [Part::Position, Part::Eyes];

    /**
     * Without dose and ending.
     *
     * @param  bool  $isCareful  light-headedness is nothing harmless for this patient
     * @return list<Sentence>
     */
    public static function all(Prescription $prescription, School $school, bool $isCareful = false): array
    {
        return [
            ...BodyWords::of($prescription), ...BreathWords::of($prescription), BodyWords::eyes($prescription),
            ...RightWords::right($prescription, $school), ...RightWords::felt($prescription, $isCareful),
            ...RightWords::stop($isCareful, $prescription),
        ];
    }

    /**
     * What is said before a step of a routine is led: which one it is, how to be placed, how to breathe, and the one
     * criterion.
     *
     * @param  list<Prescription>  $before  the exercises before it
     * @return list<Sentence>
     */
    public static function step(Prescription $prescription, School $school, array $before = []): array
    {
        $name = PlainName::of($prescription);
        $last = end($before) ?: null;
        $known = $last === null ? [] : self::placed($last);
        $isAtHand = self::since($prescription, $before);
        $new = array_filter(self::placed($prescription), fn (Sentence $sentence) => match (true) {
            $sentence->part === Part::With => ! in_array($sentence, $isAtHand, false),
            default => ! in_array($sentence->part, self::STAYS, true) || ! in_array($sentence, $known, false),
        });

        return [
            new Sentence(Part::Steps, 'told.next', ['name' => $prescription->own === null ? ['key' => $name] : $name]),
            ...($last === null ? [] : BodyWords::without($last, $prescription)),
            ...array_values($new), ...array_slice(RightWords::right($prescription, $school), 0, 1),
        ];
    }

    /**
     * Everything that may be said before a step, whatever was led before it; the criterion last.
     *
     * @return list<Sentence>
     */
    public static function anyStep(Prescription $prescription, School $school): array
    {
        return [...BodyWords::putAside(), ...self::step($prescription, $school)];
    }

    /**
     * What lies where it was put, as long as the position stays.
     *
     * @param  list<Prescription>  $before
     * @return list<Sentence>
     */
    private static function since(Prescription $prescription, array $before): array
    {
        $there = [];
        foreach (array_reverse($before) as $each) {
            if ($each->position !== $prescription->position) {
                break;
            }
            $there = [...$there, ...self::placed($each)];
        }

        return $there;
    }

    /** @return list<Sentence> */
    private static function placed(Prescription $prescription): array
    {
        return [...BodyWords::of($prescription), ...BreathWords::of($prescription), BodyWords::eyes($prescription)];
    }
}
