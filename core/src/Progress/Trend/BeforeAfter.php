<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Trend;

use IvoryPace\Median;
use IvoryPace\Numbers;

/** What single practices do for the rated symptom: the median change, and the share that got lower. */
final readonly class BeforeAfter
{
    /** Rated practices from which it is put in numbers. */
    public const LEAST = 4;

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

    /** What was rated before and after the same practices; with few of them, only how many there are. */
    public function sentence(string $symptom): string
    {
        if ($this->rated < self::LEAST) {
            return "Rated before and after {$this->rated} ".($this->rated === 1 ? 'practice' : 'practices').' only.';
        }
        $change = Numbers::signed($this->median);

        return sprintf(
            '%s %s in the middle of %d practices; lower after %d %%, higher after %d %%.', ucfirst($symptom),
            $change === '0' ? 'unchanged' : $change,
            $this->rated, round(100 * $this->shareImproved), round(100 * (1 - $this->shareNotWorse)),
        );
    }
}
