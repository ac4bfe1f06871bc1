<?php

declare(strict_types=1);

namespace App\Guard;

use ParagonIE\ConstantTime\Base32;

/** Codes of a second factor that go by the clock: RFC 6238 with SHA-1, six digits and 30 s, as authenticator programs expect. */
final class OneTimeCode
{
    public const STEP_S = 30;

    /** Steps that a clock may be off, either way. */
    private const AROUND = 1;

    /** RFC 4226 asks for 160 bits. */
    private const SECRET_BYTES = 20;

    public static function newSecret(): string
    {
        return Base32::encodeUpperUnpadded(random_bytes(self::SECRET_BYTES));
    }

    /** @param  int  $step  number of 30 s since 1970 */
    public static function at(string $secret, int $step): string
    {
        $hash = hash_hmac('sha1', pack('J', $step), Base32::decodeUpper($secret), true);
        $offset = ord($hash[19]) & 15;
        // The four bytes from there on, without the sign.
        $number = hexdec(bin2hex(substr($hash, $offset, 4))) & 0x7FFFFFFF;

        return str_pad((string) ($number % 1_000_000), 6, '0', STR_PAD_LEFT);
    }

    /**
     * @param  int  $now  in seconds
     * @param  int|null  $after  the step that was used last: neither it nor an earlier one is taken again
     * @return int|null the step that the code belongs to; null when it is none of now
     */
    public static function accepted(string $secret, string $code, int $now, ?int $after): ?int
    {
        $present = intdiv($now, self::STEP_S);
        $found = null;
        for ($step = $present - self::AROUND; $step <= $present + self::AROUND; $step++) {
            if (hash_equals(self::at($secret, $step), $code) && $step > ($after ?? -1)) {
                $found = $step;
            }
        }

        return $found;
    }

    /** What an authenticator program reads from the square code. */
    public static function address(string $secret, string $account): string
    {
        return 'otpauth://totp/'.rawurlencode("Ivory Pace:$account").'?'
            .http_build_query(['secret' => $secret, 'issuer' => 'Ivory Pace'], '', '&', PHP_QUERY_RFC3986);
    }
}
