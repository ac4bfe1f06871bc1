<?php

declare(strict_types=1);

namespace IvoryPace\Progress\Trend;

/**
 * A daily rating on days with practice beside days without: that they go together, never that one makes the other.
 */
final readonly class DaysWithAndWithout
{
    /** Days of each kind that it takes at least. */
    public const LEAST = 5;

    private function __construct(public float $with, public int $daysWith, public float $without, public int $daysWithout)
    {
    }

    /**
     * @param  array<string, float|int>  $ratings  0–10 by date
     * @param  list<string>  $practised  dates on which something was practised
     * @return self|null null with too few days of either kind
     */
    public static function of(array $ratings, array $practised): ?self
    {
        $isPractised = array_fill_keys($practised, true);
        $with = array_values(array_filter($ratings, fn (string $date) => isset($isPractised[$date]), ARRAY_FILTER_USE_KEY));
        $without = array_values(array_filter($ratings, fn (string $date) => ! isset($isPractised[$date]), ARRAY_FILTER_USE_KEY));
        if (count($with) < self::LEAST || count($without) < self::LEAST) {
            return null;
        }

        return new self(array_sum($with) / count($with), count($with), array_sum($without) / count($without), count($without));
    }

    /** "3.2 on 20 days with practice, 4.8 on 9 days without". */
    public function sentence(): string
    {
        return sprintf(
            '%.1f on %d days with practice, %.1f on %d days without. That they go together does not say that one makes the other.',
            $this->with, $this->daysWith, $this->without, $this->daysWithout,
        );
    }
}
