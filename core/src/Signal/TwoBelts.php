<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Median;

/**
 * Chest and belly beside each other: how far they are out of step, and which of them moves. 0° together, 180° one against the other.
 * The loop (chest against belly) is read as in Konno and Mead, J Appl Physiol 1967;22:407–422, and Allen et al., Am Rev Respir Dis
 * 1990;141:337–342 (from memory); near 90° it is uncertain, so that the angle by the first harmonic of each breath leads.
 */
final readonly class TwoBelts
{
    private const LEAST_BREATHS = 3;

    /** Samples on each side by which the ends of a breath are compared. */
    private const AROUND = 2;

    /**
     * @param  float  $angle  degrees, by the first harmonic
     * @param  float  $loop  degrees, by the loop
     * @param  float  $bellyShare  0 to 1, of both movements
     */
    private function __construct(public float $angle, public float $loop, public float $bellyShare)
    {
    }

    /**
     * @param  Breaths  $chest  of the same moments as the belly's
     * @param  float  $bellyUnit  how far the belly's belt went in the calibration breath, in its unit
     * @param  float  $chestUnit  the same of the chest's
     *
     * @throws InvalidValue when the belts do not belong together, or too little can be seen
     */
    public static function of(Breaths $belly, Breaths $chest, float $bellyUnit = 1.0, float $chestUnit = 1.0): self
    {
        [$one, $other] = [$belly->of->trace, $chest->of->trace];
        if (count($one->values) !== count($other->values) || abs($one->startsAt - $other->startsAt) > 0.5 / Trace::RATE) {
            throw InvalidValue::because('The two belts were not recorded together.');
        }
        if ($bellyUnit <= 0 || $chestUnit <= 0) {
            throw InvalidValue::because('A belt that did not move in the calibration breath measures nothing.');
        }
        $breaths = self::cycles($belly, $chest);
        if (count($breaths) < self::LEAST_BREATHS) {
            throw InvalidValue::because('Fewer than three breaths can be seen on both belts; record a little longer.');
        }
        $cross = [0.0, 0.0];
        $loops = $shares = [];
        foreach ($breaths as [$from, $length]) {
            $b = self::level($one->values, $from, $length);
            $c = self::level($other->values, $from, $length);
            [$re, $im] = self::together(self::harmonic($b), self::harmonic($c));
            $cross = [$cross[0] + $re, $cross[1] + $im];
            $loops[] = self::loop($b, $c);
            $moved = [(max($b) - min($b)) / $bellyUnit, (max($c) - min($c)) / $chestUnit];
            $shares[] = $moved[0] / max(1e-12, array_sum($moved));
        }

        return new self(rad2deg(abs(atan2($cross[1], $cross[0]))), Median::of($loops), Median::of($shares));
    }

    /**
     * One breath without what is left of the drift: it ends as high as it began.
     *
     * @param  non-empty-list<float>  $values
     * @param  positive-int  $length
     * @return non-empty-list<float>
     */
    private static function level(array $values, int $from, int $length): array
    {
        $around = function (int $at) use ($values): float {
            $near = array_slice($values, max(0, $at - self::AROUND), 2 * self::AROUND + 1);

            return array_sum($near) / max(1, count($near));
        };
        $slope = ($around($from + $length) - $around($from)) / $length;
        $level = [];
        for ($n = 0; $n < $length; $n++) {
            $level[] = $values[$from + $n] - $slope * $n;
        }

        return $level;
    }

    /**
     * Whole breaths of whichever belt moves more.
     *
     * @return list<array{int, positive-int}> first sample, and how many
     */
    private static function cycles(Breaths $belly, Breaths $chest): array
    {
        $range = fn (Breaths $breaths) => max($breaths->of->trace->values) - min($breaths->of->trace->values);
        [$leads, $follows] = $range($belly) >= $range($chest) ? [$belly, $chest] : [$chest, $belly];
        $trace = $leads->of->trace;
        $cycles = [];
        // The first and the last may have begun before the recording, or ended after it.
        foreach (array_slice($leads->all, 1, -1) as $breath) {
            $from = (int) round(($breath->start - $trace->startsAt) * Trace::RATE);
            $length = (int) round($breath->length() * Trace::RATE);
            $isClear = $breath->isClear && $follows->disturbed($breath->start, $breath->end()) <= Breaths::MOST_OTHER;
            if ($isClear && $length > 1 && $from >= 0 && $from + $length <= count($trace->values)) {
                $cycles[] = [$from, $length];
            }
        }

        return $cycles;
    }

    /**
     * @param  non-empty-list<float>  $values  of one breath
     * @return array{float, float} its first harmonic
     */
    private static function harmonic(array $values): array
    {
        $step = 2 * M_PI / count($values);
        $re = $im = 0.0;
        foreach ($values as $n => $value) {
            $re += $value * cos($step * $n);
            $im -= $value * sin($step * $n);
        }

        return [$re, $im];
    }

    /**
     * @param  array{float, float}  $one
     * @param  array{float, float}  $other
     * @return array{float, float} the other times the first turned round
     */
    private static function together(array $one, array $other): array
    {
        return [$other[0] * $one[0] + $other[1] * $one[1], $other[1] * $one[0] - $other[0] * $one[1]];
    }

    /**
     * sin θ = m / s: how far the chest differs where the belly passes the middle of its way up and down, over the chest's whole way.
     *
     * @param  non-empty-list<float>  $belly
     * @param  non-empty-list<float>  $chest
     */
    private static function loop(array $belly, array $chest): float
    {
        $middle = (max($belly) + min($belly)) / 2;
        $width = max($chest) - min($chest);
        $up = $down = [];
        $count = count($belly);
        for ($n = 0; $n < $count; $n++) {
            $next = ($n + 1) % $count;
            if (($belly[$n] < $middle) !== ($belly[$next] < $middle)) {
                $part = ($middle - $belly[$n]) / (($belly[$next] - $belly[$n]) ?: 1.0);
                $at = $chest[$n] + $part * ($chest[$next] - $chest[$n]);
                $belly[$n] < $middle ? $up[] = $at : $down[] = $at;
            }
        }
        if ($up === [] || $down === [] || $width <= 0.0) {
            return 0.0;
        }
        $angle = rad2deg(asin(min(1.0, abs(Median::of($up) - Median::of($down)) / $width)));

        return self::leansBack($belly, $chest) ? 180 - $angle : $angle;
    }

    /**
     * @param  list<float>  $belly
     * @param  list<float>  $chest
     */
    private static function leansBack(array $belly, array $chest): bool
    {
        $meanBelly = array_sum($belly) / count($belly);
        $meanChest = array_sum($chest) / count($chest);

        return array_sum(array_map(fn (float $b, float $c) => ($b - $meanBelly) * ($c - $meanChest), $belly, $chest)) < 0;
    }
}
