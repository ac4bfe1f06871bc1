<?php

declare(strict_types=1);

namespace App\Guard;

use App\Models\Device;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Symfony\Component\HttpFoundation\Cookie as HttpCookie;

/**
 * The credential with which a patient's device signs itself in: long, random, hashed on the server, in a cookie
 * that scripts cannot read and other sites cannot send.
 */
final class DeviceGuard
{
    public const COOKIE = 'ivory_pace_device';

    private const DAYS = 400;

    public static function deviceOf(Request $request, bool $signedOutToo = false): ?Device
    {
        $credential = $request->cookie(self::COOKIE);
        if (! is_string($credential) || $credential === '') {
            return null;
        }

        return Device::query()->with('patient')->when(! $signedOutToo, fn ($query) => $query->whereNull('revoked_at'))
            ->firstWhere('credential_hash', self::hash($credential));
    }

    public static function newCredential(): string
    {
        return bin2hex(random_bytes(32));
    }

    public static function hash(string $credential): string
    {
        return hash('sha256', $credential);
    }

    public static function cookie(string $credential): HttpCookie
    {
        return Cookie::make(
            self::COOKIE, $credential, self::DAYS * 24 * 60,
            secure: config()->boolean('session.secure'), httpOnly: true, sameSite: 'strict',
        );
    }
}
