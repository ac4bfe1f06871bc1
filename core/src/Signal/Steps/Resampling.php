<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Steps;

use IvoryPace\InvalidValue;
use IvoryPace\Signal\Trace;

/**
 * Samples as a device sends them, put in order and brought to even steps by straight lines. Devices repeat batches, send them in the
 * wrong order, pause, and have clocks of their own.
 */
final class Resampling
{
    /** Where nothing came for longer it is a gap, in s. */
    private const GAP_S = 0.5;

    /** No device measures a breath or an acceleration in larger numbers. */
    public const LARGEST = 1e9;

    /**
     * @param  list<array{float, float}>  $samples  time in s, value; in any order; of the same time the first stays
     *
     * @throws InvalidValue when one is no number, or there are too few or too many
     */
    public static function even(array $samples): Trace
    {
        foreach ($samples as [$time, $value]) {
            if (! is_finite($time) || ! is_finite($value) || abs($value) > self::LARGEST || abs($time) > self::LARGEST) {
                throw InvalidValue::because('A recording holds something that is no measurement.');
            }
        }
        if (count($samples) < 2) {
            throw InvalidValue::because('A recording needs two values at least.');
        }
        // Most come in order, and sorting them again would be most of the work.
        if (! self::isInOrder($samples)) {
            usort($samples, fn (array $one, array $other) => $one[0] <=> $other[0]);
        }
        $from = $samples[0][0];
        $to = $samples[count($samples) - 1][0];
        if ($to - $from > Trace::LONGEST_S) {
            throw InvalidValue::because('A recording of more than '.(Trace::LONGEST_S / 60).' minutes is too long; make two of it.');
        }

        return self::between($samples, $from, (int) floor(($to - $from) * Trace::RATE + 1e-6) + 1);
    }

    /** @param  non-empty-list<array{float, float}>  $samples  in order */
    private static function between(array $samples, float $from, int $count): Trace
    {
        $values = [];
        $gaps = [];
        $last = count($samples) - 1;
        $next = 0;
        for ($n = 0; $n < $count; $n++) {
            $time = $from + $n / Trace::RATE;
            while ($next < $last && $samples[$next][0] < $time - 1e-9) {
                $next++;
            }
            [$after, $upper] = $samples[$next];
            [$before, $lower] = $samples[max(0, $next - 1)];
            $isBetween = $after - $before > 1e-9 && $time < $after - 1e-9;
            $values[] = $isBetween ? $lower + ($upper - $lower) * ($time - $before) / ($after - $before) : $upper;
            if ($isBetween && $after - $before > self::GAP_S) {
                $gaps = self::longer($gaps, $n);
            }
        }

        return Trace::of($values, $from, $gaps);
    }

    /**
     * @param  list<array{int, int}>  $gaps
     * @return list<array{int, int}>
     */
    private static function longer(array $gaps, int $index): array
    {
        $last = count($gaps) - 1;
        if ($last >= 0 && $gaps[$last][1] === $index - 1) {
            $gaps[$last][1] = $index;
        } else {
            $gaps[] = [$index, $index];
        }

        return $gaps;
    }

    /** @param  list<array{float, float}>  $samples */
    private static function isInOrder(array $samples): bool
    {
        $last = -INF;
        foreach ($samples as [$time]) {
            if ($time < $last) {
                return false;
            }
            $last = $time;
        }

        return true;
    }
}
