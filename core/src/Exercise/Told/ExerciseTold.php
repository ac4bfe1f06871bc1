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
    private const STAYS = [Part::Position, Part::With, Part::Eyes];

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
            ...RightWords::stop($prescription, $isCareful),
        ];
    }

    /**
     * What is said before a step of a routine is led: which one it is, how to be placed, how to breathe, and the one
     * criterion.
     *
     * @param  Prescription|null  $before  the exercise before it
     * @return list<Sentence>
     */
    public static function step(Prescription $prescription, School $school, ?Prescription $before = null): array
    {
        $name = PlainName::of($prescription);
        $told = self::placed($prescription);
        $known = $before === null ? [] : self::placed($before);
        $new = array_filter(
            $told, fn (Sentence $sentence) => ! in_array($sentence->part, self::STAYS, true) || ! in_array($sentence, $known, false),
        );

        return [
            new Sentence(Part::Steps, 'told.next', ['name' => $prescription->own === null ? ['key' => $name] : $name]),
            ...array_values($new), ...array_slice(RightWords::right($prescription, $school), 0, 1),
        ];
    }

    /** @return list<Sentence> */
    private static function placed(Prescription $prescription): array
    {
        return [...BodyWords::of($prescription), ...BreathWords::of($prescription), BodyWords::eyes($prescription)];
    }
}
