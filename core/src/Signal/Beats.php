<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Median;

/**
 * Intervals between heartbeats. One that is further than a fifth from the middle of those around it is left out and counted. Mean, SDNN
 * and RMSSD as in Task Force, Eur Heart J 1996;17:354–381.
 */
final readonly class Beats
{
    /** ms; no heart of a patient who sits here beats outside of it. */
    private const SHORTEST = 200;

    private const LONGEST = 3000;

    private const OUTLIER = 0.2;

    /** Beats on each side. */
    private const AROUND = 5;

    private const LEAST = 10;

    /** The first seconds of a pace are getting used to it. */
    private const FIRST_S = 30;

    private const LEAST_IN_A_BREATH = 3;

    /**
     * @param  list<array{float, float}>  $kept  s of the beat, ms since the one before
     * @param  int  $leftOut  intervals
     */
    private function __construct(public array $kept, public int $leftOut)
    {
    }

    /**
     * @param  list<array{float, float}>  $beats  s of each, ms since the one before, in order
     *
     * @throws InvalidValue when one is no interval, or there are too few
     */
    public static function of(array $beats): self
    {
        foreach ($beats as [$at, $interval]) {
            if (! is_finite($at) || ! is_finite($interval) || $interval < self::SHORTEST || $interval > self::LONGEST) {
                throw InvalidValue::because('An interval between heartbeats is '.self::SHORTEST.' to '.self::LONGEST.' ms.');
            }
        }
        if (count($beats) < self::LEAST) {
            throw InvalidValue::because('Fewer than '.self::LEAST.' heartbeats tell too little.');
        }
        $intervals = array_column($beats, 1);
        $kept = [];
        foreach ($beats as $n => [$at, $interval]) {
            $from = max(0, $n - self::AROUND);
            $middle = Median::of(array_slice($intervals, $from, $n + self::AROUND + 1 - $from));
            if (abs($interval - $middle) <= self::OUTLIER * $middle) {
                $kept[] = [$at, $interval];
            }
        }

        return new self($kept, count($beats) - count($kept));
    }

    /** beats/min */
    public function rate(): float
    {
        return 60_000 * count($this->kept) / array_sum(array_column($this->kept, 1));
    }

    /** Sample standard deviation of the intervals, ms. */
    public function sdnn(): float
    {
        $intervals = array_column($this->kept, 1);
        $mean = array_sum($intervals) / count($intervals);

        return sqrt(array_sum(array_map(fn (float $each) => ($each - $mean) ** 2, $intervals)) / (count($intervals) - 1));
    }

    /** Root of the mean squared difference of neighbours, ms; of those between which none was left out. */
    public function rmssd(): float
    {
        $squares = [];
        for ($n = 1; $n < count($this->kept); $n++) {
            [$at, $interval] = $this->kept[$n];
            if (abs($at - $this->kept[$n - 1][0] - $interval / 1000) < 0.05) {
                $squares[] = ($interval - $this->kept[$n - 1][1]) ** 2;
            }
        }

        return $squares === [] ? 0.0 : sqrt(array_sum($squares) / count($squares));
    }

    /**
     * Highest minus lowest rate within each breath.
     *
     * @param  list<array{float, float}>  $breaths  start and end, s
     * @return list<float> beats/min; of breaths with too few beats nothing
     */
    public function swings(array $breaths): array
    {
        $first = $breaths[0][0] ?? 0.0;
        $swings = [];
        foreach ($breaths as [$from, $to]) {
            if ($from < $first + self::FIRST_S) {
                continue;
            }
            $rates = [];
            foreach ($this->kept as [$at, $interval]) {
                if ($at >= $from && $at < $to) {
                    $rates[] = 60_000 / $interval;
                }
            }
            if (count($rates) >= self::LEAST_IN_A_BREATH) {
                $swings[] = max($rates) - min($rates);
            }
        }

        return $swings;
    }
}
