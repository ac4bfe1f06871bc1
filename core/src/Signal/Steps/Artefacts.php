<?php

declare(strict_types=1);

namespace IvoryPace\Signal\Steps;

use IvoryPace\Median;
use IvoryPace\Signal\Trace;

/**
 * Seconds that tell nothing of breathing: a cough, speech, a phone that was moved, a belt that slipped, or nothing at all. A sigh is
 * none: it is slow. What is true of a second is true of no more than the breath it lies in.
 */
final readonly class Artefacts
{
    private const HIGH_HZ = 2.0;

    /** So many times the usual energy above that. */
    private const TIMES = 5.0;

    private const WINDOW_S = 10;

    /** Below so small a part of the movement nothing is noise worth a word. */
    private const LEAST_PART = 0.02;

    /** The baseline on both sides of a step, over one slow breath. */
    private const BESIDE_S = 20;

    /** A step is so large a part of the usual movement. */
    private const STEP_PART = 0.8;

    /** Around it. */
    private const AROUND_S = 1;

    /** @param  array<int, true>  $seconds  by number, from 0 */
    private function __construct(public array $seconds)
    {
    }

    /** @param  Trace  $raw  neither smoothed nor without its drift */
    public static function in(Trace $raw): self
    {
        $seconds = array_chunk($raw->values, Trace::RATE);
        $movement = self::movement($seconds);
        $found = self::loud(self::energies($raw->values), $movement) + self::steps($seconds, $movement);
        foreach (array_keys($seconds) as $second) {
            $from = $second * Trace::RATE;
            if ($raw->missing($from, $from + Trace::RATE - 1) > 0.5) {
                $found[$second] = true;
            }
        }
        ksort($found);

        return new self($found);
    }

    /** How much of the time from one index to another is one: 0 to 1. */
    public function share(float $from, float $to): float
    {
        if ($to <= $from) {
            return 0.0;
        }
        $covered = 0.0;
        for ($second = (int) floor($from / Trace::RATE); $second * Trace::RATE < $to; $second++) {
            if (isset($this->seconds[$second])) {
                $covered += min($to, ($second + 1) * Trace::RATE) - max($from, $second * Trace::RATE);
            }
        }

        return $covered / ($to - $from);
    }

    /**
     * How far it usually goes up and down within ten seconds.
     *
     * @param  non-empty-list<non-empty-list<float>>  $seconds
     */
    private static function movement(array $seconds): float
    {
        $ranges = [];
        foreach (array_chunk($seconds, self::WINDOW_S) as $window) {
            $all = array_merge(...$window);
            $ranges[] = max($all) - min($all);
        }

        return Median::of($ranges);
    }

    /**
     * What is faster than 2 Hz, second by second.
     *
     * @param  non-empty-list<float>  $values
     * @return non-empty-list<float>
     */
    private static function energies(array $values): array
    {
        return array_map(
            fn (array $second) => array_sum(array_map(fn (float $value) => $value * $value, $second)),
            array_chunk(Butterworth::high($values, self::HIGH_HZ), Trace::RATE),
        );
    }

    /**
     * @param  non-empty-list<float>  $energies
     * @return array<int, true>
     */
    private static function loud(array $energies, float $movement): array
    {
        $windows = array_map(fn (array $window) => array_sum($window) / count($window), array_chunk($energies, self::WINDOW_S));
        $limit = max(self::TIMES * Median::of($windows), Trace::RATE * (self::LEAST_PART * $movement) ** 2);
        $loud = [];
        foreach ($energies as $second => $energy) {
            if ($energy > $limit) {
                $loud[$second] = true;
            }
        }

        return $loud;
    }

    /**
     * @param  non-empty-list<non-empty-list<float>>  $seconds
     * @return array<int, true>
     */
    private static function steps(array $seconds, float $movement): array
    {
        $means = array_map(fn (array $second) => array_sum($second) / count($second), $seconds);
        $sizes = [];
        for ($second = self::BESIDE_S; $second < count($means) - self::BESIDE_S; $second++) {
            $before = Median::of(array_slice($means, $second - self::BESIDE_S, self::BESIDE_S));
            $after = Median::of(array_slice($means, $second, self::BESIDE_S));
            if (abs($after - $before) > self::STEP_PART * $movement) {
                $sizes[$second] = abs($after - $before);
            }
        }
        $steps = [];
        while ($sizes !== []) {
            $at = array_search(max($sizes), $sizes, true);
            for ($second = $at - self::AROUND_S; $second < $at + self::AROUND_S; $second++) {
                $steps[max(0, (int) $second)] = true;
            }
            // The same step is seen from all around.
            $sizes = array_filter($sizes, fn (int $second) => abs($second - $at) > self::BESIDE_S, ARRAY_FILTER_USE_KEY);
        }

        return $steps;
    }
}
