<?php

declare(strict_types=1);

namespace IvoryPace\Progress;

/**
 * Numbers of people as they may be given away: one that is smaller than five says something about someone, and must not follow
 * from the others either, from their sum or from knowing how it was hidden. That it does not is tried over every sum in the tests.
 * Five as the least: common practice in clinic statistics.
 */
final readonly class SmallNumbers
{
    /** People from which a number is given. */
    public const LEAST = ClinicOutcomes::LEAST;

    /** @param  array<array-key, int|null>  $parts  null where it is left out */
    private function __construct(public ?int $total, public array $parts)
    {
    }

    /** One number by itself; null where it is left out. */
    public static function alone(int $people): ?int
    {
        return self::isSmall($people) ? null : $people;
    }

    /** @param  array<array-key, int>  $parts  that add up to their total, each person in one of them */
    public static function of(array $parts): self
    {
        $total = array_sum($parts);
        $none = array_map(fn () => null, $parts);
        if ($total < self::LEAST) {
            return new self(self::alone($total), $total === 0 ? $parts : $none);
        }
        if (array_filter($parts, self::isSmall(...)) === []) {
            return new self($total, $parts);
        }
        // Those that are large enough, from the largest on, equal ones together, as long as what is left out stays uncertain: at
        // least two numbers, and so many people among them that nobody knows which are small, nor that all are just too small.
        $shown = array_filter($parts, fn (int $part) => $part > self::LEAST);
        while ($shown !== [] && ($total - array_sum($shown) <= self::LEAST || count($parts) - count($shown) < 2)) {
            $least = min($shown);
            $shown = array_filter($shown, fn (int $part) => $part > $least);
        }

        return new self($total, array_replace($none, $shown));
    }

    private static function isSmall(int $people): bool
    {
        return $people > 0 && $people < self::LEAST;
    }
}
