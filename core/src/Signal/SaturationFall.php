<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;
use IvoryPace\Median;

/**
 * What a saturation did while the breath was held. An oximeter at a finger shows it late, so that the half minute after the hold
 * belongs to it. It is no value at rest.
 */
final readonly class SaturationFall
{
    private const FALL = 4.0;

    private const FALL_S = 5;

    private const BEFORE_S = 30;

    private const LATE_S = 30;

    /** After it a value that is still low is one at rest. */
    private const MINUTE_S = 60;

    private const STILL_S = 10;

    /** s after a hold when all that is looked at has been measured. */
    public const ALL_S = self::MINUTE_S + self::STILL_S;

    /** Without a range of one's own, %. */
    public const LOW = 91.0;

    /**
     * @param  float  $before  %, the middle of the half minute before
     * @param  float  $lowest  %
     * @param  int  $belowS  s below the patient's own range, or at or below 91 without one
     * @param  int  $fellS  s in a row for which it was 4 points or more below what it was before
     * @param  bool  $fell  for 5 s or longer
     * @param  float|null  $later  %, in the middle, one minute after the hold; null when nothing was measured then
     * @param  bool  $isStillLow  whether that is low
     */
    private function __construct(
        public float $before,
        public float $lowest,
        public int $belowS,
        public int $fellS,
        public bool $fell,
        public ?float $later,
        public bool $isStillLow,
    ) {
    }

    /**
     * @param  list<array{float, float}>  $values  s and %, one a second, in order
     * @param  float  $from  s, start of the hold
     * @param  float|null  $ownLow  %, where the patient's own range begins
     *
     * @throws InvalidValue when one is no saturation, or there is nothing to compare it with
     */
    public static function of(array $values, float $from, float $to, ?float $ownLow = null): self
    {
        foreach ($values as [$at, $value]) {
            if (! is_finite($at) || ! is_finite($value) || $value < 50 || $value > 100) {
                throw InvalidValue::because('A saturation is 50 to 100 %.');
            }
        }
        $between = fn (float $a, float $b) => array_column(
            array_filter($values, fn (array $value) => $value[0] >= $a && $value[0] < $b), 1,
        );
        $before = $between($from - self::BEFORE_S, $from);
        $during = $between($from, $to + self::LATE_S);
        if ($before === [] || $during === []) {
            throw InvalidValue::because('Without a saturation before and during the hold nothing can be compared.');
        }
        $usual = Median::of($before);
        $isLow = fn (float $value) => $ownLow === null ? $value <= self::LOW : $value < $ownLow;
        $fellS = self::longest($during, fn (float $value) => $value <= $usual - self::FALL);
        $later = $between($to + self::MINUTE_S, $to + self::MINUTE_S + self::STILL_S);

        $rest = $later === [] ? null : Median::of($later);

        return new self(
            $usual, min($during), count(array_filter($during, $isLow)), $fellS, $fellS >= self::FALL_S,
            $rest, $rest !== null && $isLow($rest),
        );
    }

    /**
     * @param  list<float>  $values
     * @param  callable(float): bool  $is
     */
    private static function longest(array $values, callable $is): int
    {
        $longest = $run = 0;
        foreach ($values as $value) {
            $run = $is($value) ? $run + 1 : 0;
            $longest = max($longest, $run);
        }

        return $longest;
    }
}
