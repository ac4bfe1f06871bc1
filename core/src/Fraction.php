<?php

declare(strict_types=1);

namespace IvoryPace;

/**
 * A share as a fraction, exact: eight of ten is 80 %, whatever it was added up from. Only where the numbers would grow
 * past what an integer holds is it kept to a billionth.
 */
final readonly class Fraction
{
    private const FINEST = 1_000_000_000;

    private function __construct(public int $numerator, public int $denominator)
    {
    }

    /** @throws InvalidValue when the denominator is not positive */
    public static function of(int $numerator, int $denominator = 1): self
    {
        if ($denominator < 1) {
            throw InvalidValue::because("$numerator of $denominator is no share.");
        }
        $common = self::gcd(abs($numerator), $denominator);

        return new self(intdiv($numerator, $common), intdiv($denominator, $common));
    }

    /** The nearest to a number with at most four decimals, like a threshold. */
    public static function near(float $value): self
    {
        return self::of((int) round($value * 10_000), 10_000);
    }

    public static function zero(): self
    {
        return new self(0, 1);
    }

    public function plus(self $other): self
    {
        if ($this->denominator === $other->denominator) {
            return self::exactly(
                $this->numerator + $other->numerator, $this->denominator,
            ) ?? self::nearly($this->toFloat() + $other->toFloat());
        }
        $each = intdiv($this->denominator, self::gcd($this->denominator, $other->denominator));

        return self::exactly(
            $this->numerator * intdiv($other->denominator, intdiv($this->denominator, $each)) + $other->numerator * $each,
            $each * $other->denominator,
        )
            ?? self::nearly($this->toFloat() + $other->toFloat());
    }

    /** @throws InvalidValue when the divisor is not positive */
    public function over(int $divisor): self
    {
        if ($divisor < 1) {
            throw InvalidValue::because("A share of $divisor is no share.");
        }

        return self::exactly($this->numerator, $this->denominator * $divisor) ?? self::nearly($this->toFloat() / $divisor);
    }

    /** -1, 0 or 1. */
    public function compare(self $other): int
    {
        $left = self::product($this->numerator, $other->denominator);
        $right = self::product($other->numerator, $this->denominator);

        return $left !== null && $right !== null ? $left <=> $right : $this->toFloat() <=> $other->toFloat();
    }

    public function isBelow(self $other): bool
    {
        return $this->compare($other) < 0;
    }

    public function atMost(self $other): self
    {
        return $this->compare($other) > 0 ? $other : $this;
    }

    public function toFloat(): float
    {
        return $this->numerator / $this->denominator;
    }

    /**
     * In per cent, as people read it: whole, or with one decimal where it would otherwise read like a mark on the other
     * side of which it is.
     */
    public function percent(?self $mark = null): string
    {
        $share = 100 * $this->toFloat();
        $whole = round($share);
        if ($mark !== null && $this->compare($mark) !== 0 && abs($whole - 100 * $mark->toFloat()) < 0.5) {
            $isBelow = $this->isBelow($mark);
            $tenths = $isBelow ? floor($share * 10 + 1e-9) / 10 : ceil($share * 10 - 1e-9) / 10;

            return Numbers::print($tenths).' %';
        }

        return Numbers::print($whole).' %';
    }

    /** Null where it does not fit into an integer. */
    private static function product(int $a, int $b): ?int
    {
        return $a !== 0 && abs($b) > intdiv(PHP_INT_MAX, abs($a)) ? null : $a * $b;
    }

    /** Null where it does not fit into an integer. */
    private static function exactly(int|float $numerator, int|float $denominator): ?self
    {
        return is_int($numerator) && is_int($denominator) ? self::of($numerator, $denominator) : null;
    }

    private static function nearly(float $value): self
    {
        return self::of((int) round($value * self::FINEST), self::FINEST);
    }

    private static function gcd(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return max(1, $a);
    }
}
