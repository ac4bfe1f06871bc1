<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Routine;

use IvoryPace\Exercise\Catalogue;
use IvoryPace\Exercise\PrescriptionReader;
use IvoryPace\InvalidValue;

/** Routines of our own making, to start from. Orders are ours; the exercises are the catalogue's. */
final class Shipped
{
    /** @return array<string, Routine> by key */
    public static function routines(): array
    {
        return [
            'falling-asleep' => new Routine('Falling asleep', [
                RoutineStep::timed(StepKind::Settle, 20),
                self::exercise('tense-release', ['parameters' => ['groups' => 2, 'times' => 2]]),
                RoutineStep::timed(StepKind::Free, 45),
                self::exercise('three-part', ['position' => 'supine', 'breaths' => 8]),
                self::exercise('body-scan', ['position' => 'supine', 'parameters' => ['seconds' => 2.5, 'list' => 1, 'end' => 2]]),
            ]),
            'end-of-shift' => new Routine('The end of a shift', [
                self::exercise('shoulder-rolls', ['position' => 'seated', 'minutes' => 1]),
                self::exercise('extended-exhale', ['position' => 'seated', 'breaths' => 8]),
                RoutineStep::timed(StepKind::Free, 60),
                self::exercise('noticing', ['minutes' => 1]),
            ]),
            'recover-and-go-on' => new Routine('Recovering breath and going on', [
                self::exercise('pursed-exhale', ['position' => 'seated-forward', 'breaths' => 6]),
                RoutineStep::timed(StepKind::Free, 30),
                self::exercise('pursed-exhale', ['position' => 'standing', 'breaths' => 6]),
                self::exercise('walking', ['ratio' => '2:3', 'breaths' => 20]),
            ]),
            'trunk-and-ribs' => new Routine('Trunk and ribs', [
                self::exercise('ribs-down', ['minutes' => 2]),
                self::exercise('prone', ['minutes' => 2]),
                RoutineStep::goingBack(),
                RoutineStep::timed(StepKind::Free, 30),
                self::exercise('rib-release', ['breaths' => 4]),
            ]),
            'before-something-demanding' => new Routine('Five minutes before something demanding', [
                self::exercise('noticing', ['minutes' => 0.5]),
                self::exercise('square', ['ratio' => '3:3:3:3', 'breaths' => 6]),
                RoutineStep::timed(StepKind::Free, 40),
                self::exercise('double-inhale', ['position' => 'seated', 'breaths' => 3]),
                self::exercise('double-exhale', ['ratio' => '3:6', 'breaths' => 8]),
            ]),
        ];
    }

    /** @param  array<string, mixed>  $fields */
    private static function exercise(string $technique, array $fields): RoutineStep
    {
        $defaults = PrescriptionReader::defaults(Catalogue::get($technique));
        [$prescription, $errors] = PrescriptionReader::read([...$defaults, ...$fields]);

        return RoutineStep::exercise($prescription ?? throw InvalidValue::because("$technique: ".implode(' ', $errors)));
    }
}
