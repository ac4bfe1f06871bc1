<?php

declare(strict_types=1);

namespace IvoryPace;

/** Numbers as people type them. */
final class Numbers
{
    /** @throws InvalidValue when it is not a number with a point */
    public static function read(mixed $value, string $of): float
    {
        if (is_int($value) || is_float($value)) {
            if (is_finite((float) $value)) {
                return (float) $value;
            }
            throw InvalidValue::because("Type a number of $of.");
        }
        $text = is_string($value) ? trim($value) : '';
        if ($text === '') {
            throw InvalidValue::because("Type a number of $of.");
        }
        if (preg_match('/^-?\d{1,6}(\.\d{1,4})?$/D', $text) !== 1) {
            throw InvalidValue::because(InvalidValue::quoted($text)." is not a number of $of; write it like 12 or 0.8.");
        }

        return (float) $text;
    }

    /** As people read them: at most two decimals, or fewer, and no needless ones: 7, 7.5, 0.71. */
    public static function print(float $value, int $decimals = 2): string
    {
        $text = number_format($value, min(2, $decimals), '.', '');
        $text = str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;

        return $text === '-0' ? '0' : $text;
    }

    /** The same as a number, for what is drawn or put into words elsewhere. */
    public static function round(float $value, int $decimals = 2): float
    {
        return round($value, min(2, $decimals)) + 0.0;
    }

    /** A change, with its sign; 0 has none. */
    public static function signed(float $change, int $decimals = 2): string
    {
        $size = self::print(abs($change), $decimals);

        return $size === '0' ? '0' : ($change < 0 ? '−' : '+').$size;
    }
}
