<?php

declare(strict_types=1);

namespace IvoryPace\Breath;

/**
 * A number of counts, exact to a hundredth: 0 to 60.
 *
 * Kept as whole hundredths so that parsing, adding and printing never lose anything.
 */
final readonly class Counts
{
    public const MAX = 60;

    private function __construct(public int $hundredths)
    {
    }

    public static function zero(): self
    {
        return new self(0);
    }

    /** @throws InvalidPattern when the number is outside 0–60 or finer than a hundredth */
    public static function of(int|float $counts): self
    {
        $hundredths = (int) round($counts * 100);
        if (! is_finite((float) $counts) || abs($hundredths - $counts * 100) > 1e-6) {
            throw InvalidPattern::saying("$counts is finer than a hundredth of a count.");
        }

        return self::ofHundredths($hundredths);
    }

    /** @throws InvalidPattern when the number is outside 0–60 */
    public static function ofHundredths(int $hundredths): self
    {
        if ($hundredths < 0 || $hundredths > self::MAX * 100) {
            throw InvalidPattern::saying(($hundredths / 100).' counts is outside 0 to '.self::MAX.'.');
        }

        return new self($hundredths);
    }

    /**
     * @param  string  $digits  for example "4", "4.5" or "0.25"
     *
     * @throws InvalidPattern when it is no such number or outside 0–60
     */
    public static function parse(string $digits): self
    {
        if (preg_match('/^(\d{1,4})(?:\.(\d{1,2}))?$/D', $digits, $match) !== 1) {
            throw InvalidPattern::saying("“{$digits}” is not a number of counts with at most two decimals.");
        }

        return self::ofHundredths((int) $match[1] * 100 + (int) str_pad($match[2] ?? '', 2, '0'));
    }

    public function isZero(): bool
    {
        return $this->hundredths === 0;
    }

    public function toFloat(): float
    {
        return $this->hundredths / 100;
    }

    /** Shortest exact print: 4, 4.5, 0.25. */
    public function toString(): string
    {
        $decimals = rtrim(sprintf('%02d', $this->hundredths % 100), '0');

        return intdiv($this->hundredths, 100).($decimals === '' ? '' : '.'.$decimals);
    }
}
