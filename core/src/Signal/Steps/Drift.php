<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Steps;

use IvoryPace\Median;
use IvoryPace\Signal\Trace;

/** Belts slip slowly and phones warm up: what changes over a minute is no breath. */
final class Drift
{
    private const WINDOW_S = 60;

    /** Takes the running median over a minute away, of the trace at one value a second, straight in between. */
    public static function removed(Trace $trace): Trace
    {
        $seconds = self::bySecond($trace->values);
        $drift = self::medians($seconds);
        $last = count($drift) - 1;
        $values = [];
        foreach ($trace->values as $index => $value) {
            // A second's value stands for its middle.
            $place = min((float) $last, max(0.0, ($index + 0.5) / Trace::RATE - 0.5));
            $whole = (int) $place;
            $next = min($last, $whole + 1);
            $values[] = $value - $drift[$whole] - ($drift[$next] - $drift[$whole]) * ($place - $whole);
        }

        return $trace->with($values);
    }

    /**
     * @param  non-empty-list<float>  $values
     * @return non-empty-list<float> the mean of each second; what is left at the end makes one more
     */
    private static function bySecond(array $values): array
    {
        return array_map(fn (array $second) => array_sum($second) / count($second), array_chunk($values, Trace::RATE));
    }

    /**
     * In the first and the last half minute there is no whole window around a value: there it goes on as straight as it went. A window
     * that is cut off would follow the breath itself.
     *
     * @param  non-empty-list<float>  $values  one a second
     * @return non-empty-list<float>
     */
    private static function medians(array $values): array
    {
        $half = intdiv(self::WINDOW_S, 2);
        $last = count($values) - 1;
        if ($last < 2 * $half) {
            return array_fill(0, $last + 1, Median::of($values));
        }
        $medians = [$half => Median::of(array_slice($values, 0, 2 * $half + 1))];
        for ($at = $half + 1; $at <= $last - $half; $at++) {
            $medians[$at] = Median::of(array_slice($values, $at - $half, 2 * $half + 1));
        }
        $medians = self::calm($medians);
        $begins = self::slope($medians, $half, min($last - $half, 2 * $half));
        $ends = self::slope($medians, max($half, $last - 2 * $half), $last - $half);
        $all = [];
        for ($at = 0; $at <= $last; $at++) {
            $all[] = match (true) {
                $at < $half => $medians[$half] - $begins * ($half - $at),
                $at > $last - $half => $medians[$last - $half] + $ends * ($at - $last + $half),
                default => $medians[$at],
            };
        }

        return $all;
    }

    /**
     * The median still moves a little with each breath; its mean over half a minute hardly does.
     *
     * @param  non-empty-array<int, float>  $medians
     * @return non-empty-array<int, float>
     */
    private static function calm(array $medians): array
    {
        $first = array_key_first($medians);
        $last = array_key_last($medians);
        $calm = [];
        foreach ($medians as $at => $median) {
            // As far to both sides as there is.
            $reach = min(intdiv(self::WINDOW_S, 4), $at - $first, $last - $at);
            $calm[$at] = array_sum(array_slice($medians, $at - $reach - $first, 2 * $reach + 1)) / (2 * $reach + 1);
        }

        return $calm;
    }

    /** @param  array<int, float>  $medians */
    private static function slope(array $medians, int $from, int $to): float
    {
        return $to - $from < intdiv(self::WINDOW_S, 4) ? 0.0 : ($medians[$to] - $medians[$from]) / ($to - $from);
    }
}
