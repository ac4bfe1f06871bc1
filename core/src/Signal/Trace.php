<?php

declare(strict_types=1);

namespace IvoryPace\Signal;

use IvoryPace\InvalidValue;

/**
 * What one channel of a device measured, at even steps. Where nothing came the trace has a gap: its values there are drawn
 * straight from one side to the other and belong to nothing.
 */
final readonly class Trace
{
    /** Samples a second at which everything is computed. */
    public const RATE = 25;

    /** Nothing longer is computed at once, in s. */
    public const LONGEST_S = 3600;

    /**
     * @param  non-empty-list<float>  $values  in whatever unit the device has
     * @param  float  $startsAt  s, of the first value
     * @param  list<array{int, int}>  $gaps  first and last index of each, in order
     */
    private function __construct(public array $values, public float $startsAt, public array $gaps)
    {
    }

    /**
     * @param  list<float>  $values
     * @param  list<array{int, int}>  $gaps
     *
     * @throws InvalidValue when it is empty or too long
     */
    public static function of(array $values, float $startsAt = 0.0, array $gaps = []): self
    {
        if ($values === []) {
            throw InvalidValue::because('A recording without a single value tells nothing.');
        }
        if (count($values) > self::LONGEST_S * self::RATE) {
            throw InvalidValue::because('A recording of more than '.(self::LONGEST_S / 60).' minutes is too long; make two of it.');
        }

        return new self($values, $startsAt, $gaps);
    }

    /** @param  non-empty-list<float>  $values  as many as it has */
    public function with(array $values): self
    {
        return new self($values, $this->startsAt, $this->gaps);
    }

    /** s */
    public function seconds(): float
    {
        return count($this->values) / self::RATE;
    }

    /** @return float s, of a place between two values too */
    public function at(float $index): float
    {
        return $this->startsAt + $index / self::RATE;
    }

    /** How much of it, from one index to another, is a gap: 0 to 1. */
    public function missing(int $from, int $to): float
    {
        $missing = 0;
        foreach ($this->gaps as [$first, $last]) {
            $missing += max(0, min($to, $last) - max($from, $first) + 1);
        }

        return $to < $from ? 0.0 : $missing / ($to - $from + 1);
    }
}
