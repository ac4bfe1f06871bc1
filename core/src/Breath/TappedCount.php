<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

use IvoryPace\InvalidValue;
use IvoryPace\Median;
use IvoryPace\Numbers;

/** The length of a count as somebody tapped it, along with a breath or a voice. */
final readonly class TappedCount
{
    public const LEAST_TAPS = 4;

    public const MOST_TAPS = 200;

    /**
     * @param  float  $seconds  median interval
     * @param  float  $spread  sample standard deviation of the intervals over their mean, 0 or more
     */
    private function __construct(public float $seconds, public float $spread, public int $taps)
    {
    }

    /**
     * @param  array<mixed>  $taps  moments in ms, in order
     *
     * @throws InvalidValue when there are too few, they are out of order, or the count is outside 0.4–2.0 s
     */
    public static function of(array $taps): self
    {
        if (count($taps) < self::LEAST_TAPS || count($taps) > self::MOST_TAPS) {
            throw InvalidValue::because(count($taps).' taps: tap '.self::LEAST_TAPS.' to '.self::MOST_TAPS.' counts.');
        }
        $intervals = [];
        $before = null;
        foreach ($taps as $tap) {
            $tap = Numbers::read($tap, 'milliseconds');
            if ($before !== null) {
                if ($tap <= $before) {
                    throw InvalidValue::because('Taps come one after the other.');
                }
                $intervals[] = ($tap - $before) / 1000;
            }
            $before = $tap;
        }
        $n = count($intervals);
        $median = Median::of($intervals);
        $mean = array_sum($intervals) / $n;
        $variance = array_sum(array_map(fn (float $each) => ($each - $mean) ** 2, $intervals)) / ($n - 1);

        return new self(CountLength::seconds($median)->seconds, sqrt($variance) / $mean, count($taps));
    }
}
