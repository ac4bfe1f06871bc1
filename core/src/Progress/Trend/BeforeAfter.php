<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Trend;

use IvoryPace\Median;

/** What single practices do for the rated symptom: the median change, and the share that got lower. */
final readonly class BeforeAfter
{
    private function __construct(public float $median, public float $shareImproved, public float $shareNotWorse, public int $rated)
    {
    }

    /** @param  list<array{int, int}>  $pairs  before and after, 0–10; @return self|null null without a rated practice */
    public static function of(array $pairs): ?self
    {
        if ($pairs === []) {
            return null;
        }
        $changes = array_map(fn (array $pair) => $pair[1] - $pair[0], $pairs);
        $n = count($changes);

        return new self(
            Median::of($changes),
            count(array_filter($changes, fn (int $change) => $change < 0)) / $n,
            count(array_filter($changes, fn (int $change) => $change <= 0)) / $n,
            $n,
        );
    }
}
