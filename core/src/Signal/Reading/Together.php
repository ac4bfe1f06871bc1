<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Reading;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Trace;

/** Two traces of one recording, cut to the moments that both have. */
final class Together
{
    /** A breath to compare belts by is looked for in so many seconds. */
    public const CALIBRATION_S = 8.0;

    /**
     * @return array{Trace, Trace}
     *
     * @throws InvalidValue when they have no second in common
     */
    public static function of(Trace $one, Trace $other): array
    {
        $from = max($one->startsAt, $other->startsAt);
        $to = min($one->startsAt + $one->seconds(), $other->startsAt + $other->seconds());
        if ($to - $from < 1) {
            throw InvalidValue::because('The two belts were not recorded together.');
        }
        $count = (int) floor(($to - $from) * Trace::RATE + 1e-6);

        return [self::cut($one, $from, $count), self::cut($other, $from, $count)];
    }

    /** How far a belt went in the calibration breath, in its unit; 0 where nothing of it is there. */
    public static function range(Trace $trace, float $from): float
    {
        $values = array_slice(
            $trace->values, max(0, (int) round(($from - $trace->startsAt) * Trace::RATE)), (int) (self::CALIBRATION_S * Trace::RATE),
        );

        return $values === [] ? 0.0 : max($values) - min($values);
    }

    /**
     * What was recorded after the calibration breath.
     *
     * @throws InvalidValue when nothing was
     */
    public static function after(Trace $trace, float $calibration): Trace
    {
        $from = max($trace->startsAt, $calibration + self::CALIBRATION_S);
        $count = (int) floor(($trace->startsAt + $trace->seconds() - $from) * Trace::RATE + 1e-6);
        if ($count < Trace::RATE) {
            throw InvalidValue::because('Nothing was recorded after the calibration breath.');
        }

        return self::cut($trace, $from, $count);
    }

    public static function cut(Trace $trace, float $from, int $count): Trace
    {
        $first = max(0, (int) round(($from - $trace->startsAt) * Trace::RATE));
        $values = array_slice($trace->values, $first, $count);
        $gaps = [];
        foreach ($trace->gaps as [$a, $b]) {
            if ($b >= $first && $a < $first + count($values)) {
                $gaps[] = [max(0, $a - $first), min(count($values) - 1, $b - $first)];
            }
        }

        return Trace::of($values, $from, $gaps);
    }
}
