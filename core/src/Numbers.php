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
            throw InvalidValue::because("“{$text}” is not a number of $of; write it like 12 or 0.8.");
        }

        return (float) $text;
    }

    public static function print(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
    }

    /** A change, with its sign; 0 has none. */
    public static function signed(float $change, int $decimals = 2): string
    {
        $size = self::print(round(abs($change), $decimals));

        return $size === '0' ? '0' : ($change < 0 ? '−' : '+').$size;
    }
}
