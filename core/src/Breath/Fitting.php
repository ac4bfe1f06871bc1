<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\InvalidValue;
use IvoryPace\Numbers;

/** Finds the count length or the counts that suit a patient. All by arithmetic, no rounding but where said. */
final class Fitting
{
    /** Under this count length in seconds a ratio does not suit the patient yet (common practice). */
    public const SHORTEST_SENSIBLE_COUNT = 0.6;

    /** Share of a comfortable limit at which what is offered begins: a limit is no target (common practice). */
    public const FIRST_SHARE = 0.8;

    /** Breaths a minute under which a fit says so. */
    public const VERY_SLOW = 3.0;

    public static function isVerySlow(float $rate): bool
    {
        return $rate < self::VERY_SLOW - 1e-9;
    }

    /**
     * The largest count length at which no counted phase is longer than the patient's comfortable limit.
     * Soft pauses are left out.
     *
     * @param  ComfortableLimits  $limits  seconds; phases without a limit do not limit
     *
     * @throws InvalidValue when no limit is known for any phase of the pattern
     */
    public static function toLimits(BreathPattern $pattern, ComfortableLimits $limits): Fit
    {
        $best = null;
        $limiting = null;
        foreach ([Phase::Inhale, Phase::Hold, Phase::Exhale, Phase::Rest] as $phase) {
            $counts = $pattern->counts($phase)->toFloat() + ($phase === Phase::Inhale ? $pattern->topUp->toFloat() : 0.0);
            $limit = $limits->of($phase);
            if ($counts <= 0 || $limit === null) {
                continue;
            }
            if ($best === null || $limit / $counts < $best) {
                $best = $limit / $counts;
                $limiting = $phase;
            }
        }
        if ($best === null || $limiting === null) {
            throw InvalidValue::because('No comfortable limit has been measured for this ratio; measure inhale, hold or exhale first.');
        }

        return new Fit($pattern, $best, $limiting, self::nearestPossible($pattern, $limits));
    }

    /**
     * A ratio of the same family with shorter phases, so that no count is shorter than is sensible.
     *
     * @param  ComfortableLimits  $limits  seconds
     * @return BreathPattern|null null when even a single count of inhale or exhale would be too short
     */
    public static function nearestPossible(BreathPattern $pattern, ComfortableLimits $limits): ?BreathPattern
    {
        foreach ([Phase::Inhale, Phase::Hold, Phase::Exhale, Phase::Rest] as $phase) {
            $limit = $limits->of($phase);
            $most = $limit === null ? (float) Counts::MAX : floor($limit / self::SHORTEST_SENSIBLE_COUNT + 1e-9);
            $counts = $pattern->counts($phase)->toFloat() + ($phase === Phase::Inhale ? $pattern->topUp->toFloat() : 0.0);
            if ($counts <= $most) {
                continue;
            }
            if ($most < 1 && ($phase === Phase::Inhale || $phase === Phase::Exhale)) {
                return null;
            }
            $pattern = (
                $phase === Phase::Inhale ? $pattern->with(Phase::TopUp, Counts::zero()) : $pattern
            )->with($phase, Counts::of($most));
        }

        return $pattern;
    }

    /**
     * The playable count length nearest to a wanted rate.
     *
     * @param  float  $rate  breaths per minute, more than 0
     *
     * @throws InvalidValue as {@see toRate()}
     */
    public static function toPlayableRate(BreathPattern $pattern, float $rate): RateFit
    {
        $exact = self::toRate($pattern, $rate);
        $count = max(CountLength::MIN, min(CountLength::MAX, $exact));
        $got = Cycle::of($pattern, CountLength::seconds($count))->rate();

        return new RateFit($count, $got, abs($exact - $count) < 1e-9 ? null : sprintf(
            '%s at %s a minute would need counts of %s s; %s s is the %s that is played, which gives %s a minute.',
            $pattern->toDisplayString(), Numbers::print($rate), Numbers::print($exact), Numbers::print($count),
            $exact > $count ? 'longest' : 'shortest', Numbers::print($got),
        ));
    }

    /**
     * The most whole breaths that fit into minutes.
     *
     * @param  float  $minutes  more than 0
     *
     * @throws InvalidValue when not even one breath fits; says how long one is
     */
    public static function toMinutes(Cycle $cycle, float $minutes): int
    {
        $breaths = $cycle->breathsIn($minutes * 60);
        if ($breaths < 1) {
            throw InvalidValue::because(
                'One breath takes '.Numbers::print($cycle->seconds()).' s; not even one fits into '.Numbers::print($minutes).' min.',
            );
        }

        return $breaths;
    }

    /**
     * Rates from the resting rate to a goal, a step a week, each the same share slower.
     *
     * @param  int  $weeks  1–52
     * @return list<float> breaths per minute, weeks + 1 of them, the last the goal
     *
     * @throws InvalidValue
     */
    public static function stepsOverWeeks(float $restingRate, float $goal, int $weeks): array
    {
        if ($weeks < 1 || $weeks > 52) {
            throw InvalidValue::because("$weeks weeks is outside 1 to 52.");
        }
        if (! ($goal > 0) || ! ($restingRate >= $goal) || ! is_finite($restingRate)) {
            throw InvalidValue::because('The goal must be a rate above 0 and no faster than the resting rate.');
        }

        return array_map(
            fn (int $week) => $week === $weeks ? $goal : $restingRate * ($goal / $restingRate) ** ($week / $weeks), range(0, $weeks),
        );
    }

    /**
     * The count length, in seconds, at which a pattern has a wanted rate.
     *
     * @param  float  $rate  breaths per minute, more than 0
     *
     * @throws InvalidValue when the rate is not positive or the soft pauses leave no time for counts
     */
    public static function toRate(BreathPattern $pattern, float $rate): float
    {
        if (! ($rate > 0) || ! is_finite($rate)) {
            throw InvalidValue::because('A rate must be more than 0 breaths a minute.');
        }
        $seconds = 60 / $rate - $pattern->softHold - $pattern->softRest;
        if ($seconds <= 0) {
            throw InvalidValue::because("The soft pauses alone are longer than a breath at $rate a minute.");
        }

        return $seconds / $pattern->totalCounts();
    }

    /**
     * Whole counts nearest to wanted phase seconds: they sum to round(cycle / count length) and have the
     * smallest squared error over the phases; ties go to the longer exhale; inhale and exhale at least 1.
     *
     * @param  float  $inhale  seconds, likewise hold, exhale and rest
     *
     * @throws InvalidValue when a phase is negative or the breath is shorter than two counts
     */
    public static function nearestWholeCounts(float $inhale, float $hold, float $exhale, float $rest, CountLength $count): BreathPattern
    {
        $wanted = array_map(fn (float $seconds) => $seconds / $count->seconds, [$inhale, $hold, $exhale, $rest]);
        if (min($wanted) < 0) {
            throw InvalidValue::because('A phase cannot have a negative length.');
        }
        $sum = (int) round(array_sum($wanted));
        if ($sum < 2) {
            throw InvalidValue::because('This breath is too short for whole counts; use a shorter count.');
        }
        $best = null;
        $bestError = INF;
        foreach (self::neighbours($wanted, $sum) as $counts) {
            $error = 0.0;
            foreach ($counts as $index => $value) {
                $error += ($value - $wanted[$index]) ** 2;
            }
            $better = $error < $bestError - 1e-9;
            $tied = ! $better && $error < $bestError + 1e-9;
            if ($better || ($tied && $best !== null && $counts[2] > $best[2])) {
                $best = $counts;
                $bestError = $error;
            }
        }
        if ($best === null) {
            throw InvalidValue::because('No whole counts come near these lengths.');
        }

        return BreathPattern::of($best[0], $best[2], $best[1], $best[3]);
    }

    /**
     * @param  list<float>  $wanted
     * @return iterable<array{int, int, int, int}>
     */
    private static function neighbours(array $wanted, int $sum): iterable
    {
        $range = fn (float $value, int $least) => range(max($least, (int) floor($value) - 2), max($least, (int) ceil($value) + 2));
        foreach ($range($wanted[0], 1) as $in) {
            foreach ($range($wanted[1], 0) as $hold) {
                foreach ($range($wanted[2], 1) as $out) {
                    $rest = $sum - $in - $hold - $out;
                    if ($rest >= 0) {
                        yield [$in, $hold, $out, $rest];
                    }
                }
            }
        }
    }
}
