<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Median;

/**
 * The breaths of a trace: troughs and peaks in turn that stand out by three tenths of the median amplitude and are at least 0.6 s
 * apart. Where a movement begins and ends goes by a raised cosine through a tenth and nine tenths of it, so that a rest or a hold
 * has a length.
 */
final readonly class Breaths
{
    private const PROMINENCE = 0.3;

    private const APART_S = 0.6;

    private const SIGH = 2.0;

    /** A breath of which more than this is something else is not clear. */
    private const MOST_OTHER = 0.25;

    private const LOW = 0.1;

    private const LEAST_MOVEMENT_S = 0.2;

    /** @param  list<ObservedBreath>  $all */
    private function __construct(public array $all, private Cleaned $of)
    {
    }

    /** @param  Trace  $raw  as it was measured, in the sense in which the inhale rises */
    public static function in(Trace $raw): self
    {
        return self::of(Cleaned::of($raw));
    }

    public static function of(Cleaned $cleaned): self
    {
        $trace = $cleaned->trace;
        $turns = self::turns($trace->values);
        $edges = [];
        for ($n = 0; $n + 2 < count($turns); $n += 2) {
            $edges[] = self::edges($trace->values, $turns[$n][0], $turns[$n + 1][0], $turns[$n + 2][0]);
        }
        $median = $edges === [] ? 0.0 : Median::of(array_column($edges, 'amplitude'));
        $all = [];
        foreach ($edges as $n => $edge) {
            // The last ends at its trough: where the next begins is not known.
            $end = $edges[$n + 1]['start'] ?? (float) $edge['trough'];
            $start = $edge['start'];
            $in = min($edge['in'], $edge['out']);
            $out = min($edge['done'], $end);
            $all[] = new ObservedBreath(
                $trace->at($start), ($in - $start) / Trace::RATE, ($edge['out'] - $in) / Trace::RATE, ($out - $edge['out']) / Trace::RATE,
                ($end - $out) / Trace::RATE, $edge['amplitude'], $edge['amplitude'] > self::SIGH * $median,
                $cleaned->disturbed($trace->at($start), $trace->at($end)) <= self::MOST_OTHER,
            );
        }

        return new self($all, $cleaned);
    }

    /** How much of the time between two moments, in s, is something else or nothing: 0 to 1. */
    public function disturbed(float $from, float $to): float
    {
        return $this->of->disturbed($from, $to);
    }

    /** @return list<ObservedBreath> */
    public function clear(): array
    {
        return array_values(array_filter($this->all, fn (ObservedBreath $breath) => $breath->isClear));
    }

    /** @return list<float> s, of every inhale */
    public function starts(): array
    {
        return array_map(fn (ObservedBreath $breath) => $breath->start, $this->all);
    }

    /**
     * @return float breaths per minute, by the mean of the middle half of the lengths: a pause or a sigh changes nothing, and noise is
     *               levelled better than in one in the middle
     *
     * @throws InvalidValue when there are fewer than three
     */
    public function rate(): float
    {
        $lengths = $this->lengths();
        sort($lengths);
        $off = intdiv(count($lengths), 4);
        $middle = array_slice($lengths, $off, count($lengths) - 2 * $off);

        return 60 * count($middle) / array_sum($middle);
    }

    /**
     * @return float s, of one in the middle
     *
     * @throws InvalidValue when there are fewer than three
     */
    public function medianLength(): float
    {
        return Median::of($this->lengths());
    }

    /**
     * @return float standard deviation of their lengths over the mean
     *
     * @throws InvalidValue when there are fewer than three
     */
    public function variation(): float
    {
        $lengths = $this->lengths();
        $mean = array_sum($lengths) / count($lengths);
        $squares = array_map(fn (float $length) => ($length - $mean) ** 2, $lengths);

        return sqrt(array_sum($squares) / (count($lengths) - 1)) / $mean;
    }

    /**
     * @return float exhale over inhale, in the middle
     *
     * @throws InvalidValue when there are fewer than three
     */
    public function ratio(): float
    {
        $this->lengths();

        return Median::of(array_map(fn (ObservedBreath $breath) => $breath->ratio(), $this->clear()));
    }

    public function sighs(): int
    {
        return count(array_filter($this->clear(), fn (ObservedBreath $breath) => $breath->isSigh));
    }

    /** @return non-empty-list<float> */
    private function lengths(): array
    {
        $clear = $this->clear();
        if (count($clear) < 3) {
            throw InvalidValue::because('Fewer than three breaths can be seen; record a little longer, lying still.');
        }

        return array_map(fn (ObservedBreath $breath) => $breath->length(), $clear);
    }

    /**
     * @param  non-empty-list<float>  $values
     * @return list<array{int, bool}> place, and whether it is a peak; in turns, beginning and ending with a trough
     */
    private static function turns(array $values): array
    {
        $sorted = $values;
        sort($sorted);
        $last = count($sorted) - 1;
        $range = $sorted[(int) round(0.9 * $last)] - $sorted[(int) round(0.1 * $last)];
        $turns = self::inTurn($values, self::PROMINENCE * $range);
        $sizes = [];
        for ($n = 1; $n < count($turns); $n++) {
            $sizes[] = abs($values[$turns[$n][0]] - $values[$turns[$n - 1][0]]);
        }

        return $sizes === [] ? [] : self::inTurn($values, self::PROMINENCE * Median::of($sizes));
    }

    /**
     * @param  non-empty-list<float>  $values
     * @return list<array{int, bool}>
     */
    private static function inTurn(array $values, float $prominence): array
    {
        $apart = (int) round(self::APART_S * Trace::RATE);
        $all = [];
        foreach (Extremes::peaks($values, $prominence, $apart) as $peak) {
            $all[$peak] = true;
        }
        foreach (Extremes::peaks(array_map(fn (float $value) => -$value, $values), $prominence, $apart) as $trough) {
            $all[$trough] = false;
        }
        ksort($all);
        $turns = [];
        foreach ($all as $at => $isPeak) {
            $before = count($turns) - 1;
            if ($before < 0 || $turns[$before][1] !== $isPeak) {
                $turns[] = [$at, $isPeak];
            } elseif (($values[$at] > $values[$turns[$before][0]]) === $isPeak) {
                // Of two of a kind the one that goes further.
                $turns[$before] = [$at, $isPeak];
            }
        }

        return self::withEnds($turns, $values, $prominence);
    }

    /**
     * A recording begins and ends somewhere in a breath, often at rest: what is low enough before the first peak and after the last is
     * their trough.
     *
     * @param  list<array{int, bool}>  $turns
     * @param  non-empty-list<float>  $values
     * @return list<array{int, bool}>
     */
    private static function withEnds(array $turns, array $values, float $prominence): array
    {
        if ($turns !== [] && $turns[0][1]) {
            $peak = $turns[0][0];
            $trough = self::lowest($values, 0, $peak);
            $prominence <= $values[$peak] - $values[$trough] ? array_unshift($turns, [$trough, false]) : array_shift($turns);
        }
        $last = count($turns) - 1;
        if ($last >= 0 && $turns[$last][1]) {
            $peak = $turns[$last][0];
            $trough = self::lowest($values, $peak, count($values) - 1);
            if ($prominence <= $values[$peak] - $values[$trough]) {
                $turns[] = [$trough, false];
            } else {
                array_pop($turns);
            }
        }

        return $turns;
    }

    /** @param  non-empty-list<float>  $values */
    private static function lowest(array $values, int $from, int $to): int
    {
        $lowest = $from;
        for ($index = $from; $index <= $to; $index++) {
            $lowest = $values[$index] < $values[$lowest] ? $index : $lowest;
        }

        return $lowest;
    }

    /**
     * @param  non-empty-list<float>  $values
     * @return array{start: float, in: float, out: float, done: float, trough: int, amplitude: float} places: inhale from start to in,
     *                                                                                                exhale from out to done
     */
    private static function edges(array $values, int $trough, int $peak, int $next): array
    {
        $up = self::movement($values, $trough, $peak, 1);
        $down = self::movement($values, $next, $peak, -1);

        return [
            'start' => max((float) $trough, $up[0]), 'in' => min((float) $peak, $up[1]),
            'out' => max((float) $peak, $down[1]), 'done' => min((float) $next, $down[0]),
            'trough' => $next, 'amplitude' => $values[$peak] - ($values[$trough] + $values[$next]) / 2,
        ];
    }

    /**
     * The raised cosine through a tenth and nine tenths of the way between a trough and a peak.
     *
     * @param  non-empty-list<float>  $values
     * @param  int  $way  1 from the trough on, -1 back to the peak before it
     * @return array{float, float} places of its foot and of its top
     */
    private static function movement(array $values, int $trough, int $peak, int $way): array
    {
        $height = $values[$peak] - $values[$trough];
        $low = self::crossing($values, $peak, $trough, $values[$trough] + self::LOW * $height);
        $high = self::crossing($values, $trough, $peak, $values[$peak] - self::LOW * $height);
        // cos is a fifth from its end at these heights.
        $part = acos(1 - 2 * self::LOW) / M_PI;
        $length = max(self::LEAST_MOVEMENT_S * Trace::RATE, abs($high - $low) / (1 - 2 * $part));

        return [$low - $way * $part * $length, $high + $way * $part * $length];
    }

    /**
     * Where the trace passes a height between two places; in noise the middle of where it does so from either side.
     *
     * @param  non-empty-list<float>  $values
     */
    private static function crossing(array $values, int $from, int $to, float $height): float
    {
        return (self::first($values, $from, $to, $height) + self::first($values, $to, $from, $height)) / 2;
    }

    /** @param  non-empty-list<float>  $values */
    private static function first(array $values, int $from, int $to, float $height): float
    {
        $step = $from < $to ? 1 : -1;
        $side = $values[$from] > $height;
        for ($index = $from; $index !== $to; $index += $step) {
            if (($values[$index + $step] > $height) !== $side) {
                $way = $values[$index + $step] - $values[$index];

                return $index + $step * ($way === 0.0 ? 0.0 : ($height - $values[$index]) / $way);
            }
        }

        return (float) $to;
    }
}
