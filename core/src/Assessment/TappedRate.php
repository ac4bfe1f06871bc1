<?php

declare(strict_types=1);

namespace IvoryPace\Assessment;

use IvoryPace\InvalidValue;
use IvoryPace\Median;
use IvoryPace\Numbers;

/**
 * A breathing rate from taps at the start of each inhale: 60 (n − 1) / (last − first). Doubtful intervals are marked,
 * never dropped by themselves.
 */
final readonly class TappedRate
{
    public const LEAST_TAPS = 4;

    public const MOST_TAPS = 300;

    /** An interval so many times the median may hide a missed tap. */
    private const MISSED = 1.7;

    /** One so small a part of the median may be a double tap. */
    private const DOUBLE = 0.4;

    private const CHECK_MS = 30_000;

    /**
     * @param  non-empty-list<int>  $taps  ms, in order
     * @param  float  $rate  breaths per minute
     * @param  float  $medianInterval  s
     * @param  float  $variation  sample standard deviation of the intervals over their mean
     * @param  int|null  $crossCheck  taps in the last full 30 s × 2; null when it took less
     * @param  list<array{interval: int, kind: string}>  $doubtful  interval from 1, "missed" or "double"
     */
    private function __construct(
        public array $taps,
        public float $rate,
        public float $medianInterval,
        public float $variation,
        public ?int $crossCheck,
        public array $doubtful,
    ) {
    }

    /**
     * @param  array<mixed>  $taps  ms, in order
     *
     * @throws InvalidValue when there are too few or they are out of order
     */
    public static function of(array $taps): self
    {
        if (count($taps) < self::LEAST_TAPS || count($taps) > self::MOST_TAPS) {
            throw InvalidValue::because(count($taps).' taps: a rate needs '.self::LEAST_TAPS.' to '.self::MOST_TAPS.'.');
        }
        $moments = [];
        foreach ($taps as $tap) {
            $moment = (int) round(Numbers::read($tap, 'milliseconds'));
            if ($moments !== [] && $moment <= $moments[count($moments) - 1]) {
                throw InvalidValue::because('Taps come one after the other.');
            }
            $moments[] = $moment;
        }
        $intervals = [];
        for ($index = 1; $index < count($moments); $index++) {
            $intervals[] = ($moments[$index] - $moments[$index - 1]) / 1000;
        }
        $n = count($intervals);
        $median = Median::of($intervals);
        $mean = array_sum($intervals) / $n;
        $variance = array_sum(array_map(fn (float $each) => ($each - $mean) ** 2, $intervals)) / ($n - 1);
        $last = $moments[count($moments) - 1];
        $inLast = count(array_filter($moments, fn (int $moment) => $moment > $last - self::CHECK_MS));

        return new self(
            $moments, 60 * $n / (($last - $moments[0]) / 1000), $median, sqrt($variance) / $mean,
            $last - $moments[0] >= self::CHECK_MS ? $inLast * 2 : null, self::doubtful($intervals, $median),
        );
    }

    /**
     * The same without one tap, when the practitioner has looked at it.
     *
     * @param  int  $index  of the tap, from 0
     *
     * @throws InvalidValue when too few are left
     */
    public function without(int $index): self
    {
        $taps = $this->taps;
        unset($taps[$index]);

        return self::of(array_values($taps));
    }

    /**
     * @param  list<float>  $intervals  s
     * @return list<array{interval: int, kind: string}>
     */
    private static function doubtful(array $intervals, float $median): array
    {
        $doubtful = [];
        foreach ($intervals as $index => $interval) {
            if ($interval > self::MISSED * $median) {
                $doubtful[] = ['interval' => $index + 1, 'kind' => 'missed'];
            } elseif ($interval < self::DOUBLE * $median) {
                $doubtful[] = ['interval' => $index + 1, 'kind' => 'double'];
            }
        }

        return $doubtful;
    }
}
