<?php

declare(strict_types=1);

namespace App\Guard;

/** A short code to be typed: ten signs that cannot be confused, 50 bits, shown in two groups. */
final class AccessCode
{
    /** No I, L, O, U: nothing that is misread or spells words. */
    private const SIGNS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    private const LENGTH = 10;

    public static function random(): string
    {
        $code = '';
        for ($sign = 0; $sign < self::LENGTH; $sign++) {
            $code .= self::SIGNS[random_int(0, 31)];
        }

        return substr($code, 0, 5).'-'.substr($code, 5);
    }

    /** Spaces, dashes and case do not matter; O is read as 0, I and L as 1. */
    public static function hash(string $code): string
    {
        $plain = preg_replace('/[^0-9A-Z]/', '', strtr(strtoupper($code), ['O' => '0', 'I' => '1', 'L' => '1']));

        return hash('sha256', (string) $plain);
    }
}
