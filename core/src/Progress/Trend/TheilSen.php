<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Trend;

use IvoryPace\InvalidValue;
use IvoryPace\Median;

/**
 * A slope that single odd days do not pull: the median of the slopes between all pairs of days, with an interval.
 *
 * Theil 1950; interval by Sen, J Am Stat Assoc 1968;63:1379–1389, with the variance corrected for equal values. It is
 * computed as scipy.stats.theilslopes does (alpha 0.95, method "separate").
 */
final readonly class TheilSen
{
    /** Scored days below which nothing is said. */
    public const LEAST = 7;

    private const Z_95 = 1.959963984540054;

    private function __construct(public float $slope, public float $low, public float $high, public float $intercept)
    {
    }

    /**
     * @param  array<int, float|int>  $values  by day number; days without a value are left out
     * @return self|null null with fewer than 7 days
     *
     * @throws InvalidValue when a value is not finite
     */
    public static function of(array $values): ?self
    {
        if (count($values) < self::LEAST) {
            return null;
        }
        ksort($values);
        $days = array_keys($values);
        $scores = array_map(floatval(...), array_values($values));
        if (array_filter($scores, fn (float $score) => ! is_finite($score)) !== []) {
            throw InvalidValue::because('A trend needs numbers.');
        }
        $slopes = [];
        foreach ($days as $i => $day) {
            for ($j = $i + 1; $j < count($days); $j++) {
                $slopes[] = ($scores[$j] - $scores[$i]) / ($days[$j] - $day);
            }
        }
        sort($slopes);
        $n = count($scores);
        $variance = ($n * ($n - 1) * (2 * $n + 5) - self::ties($scores)) / 18;
        $half = self::Z_95 * sqrt(max(0.0, $variance));
        $pairs = count($slopes);
        $slope = Median::of($slopes);

        return new self(
            $slope,
            $slopes[max((int) self::even(($pairs - $half) / 2) - 1, 0)],
            $slopes[min((int) self::even(($pairs + $half) / 2), $pairs - 1)],
            Median::of($scores) - $slope * Median::of($days),
        );
    }

    /** Whether the interval leaves 0 out. */
    public function isClear(): bool
    {
        return $this->low > 0 || $this->high < 0;
    }

    /** Rounds halves to the even number, as numpy does. */
    private static function even(float $value): float
    {
        return round($value, 0, PHP_ROUND_HALF_EVEN);
    }

    /** @param  list<float>  $scores */
    private static function ties(array $scores): int
    {
        return (int) array_sum(
            array_map(
                fn (int $k) => $k * ($k - 1) * (2 * $k + 5), array_count_values(array_map(fn (float $score) => (string) $score, $scores)),
            ),
        );
    }
}
