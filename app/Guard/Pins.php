<?php

declare(strict_types=1);

namespace App\Guard;

/** What makes a PIN: at least six digits that are not the first ones to be tried. */
final class Pins
{
    /** Translation key of what is wrong; null when the PIN will do. */
    public static function problem(string $pin): ?string
    {
        return match (true) {
            preg_match('/^\d+$/D', $pin) !== 1 => 'patient.pin.digits',
            strlen($pin) < 6 => 'patient.pin.short',
            strlen($pin) > 12 => 'patient.pin.long',
            count(array_unique(str_split($pin))) < 3,
            str_contains('01234567890123456789', $pin), str_contains('98765432109876543210', $pin) => 'patient.pin.easy',
            default => null,
        };
    }
}
