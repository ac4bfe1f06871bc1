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

    /** Credentials of others who use the same tablet, each behind their own PIN. */
    public const OTHERS = 'ivory_pace_others';

    private const MOST_OTHERS = 5;

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

    /** @return array<string, Device> by credential: of others, who may take their turn here */
    public static function others(Request $request): array
    {
        $kept = json_decode(self::text($request, self::OTHERS), true);
        $credentials = array_slice(array_filter(is_array($kept) ? $kept : [], is_string(...)), 0, self::MOST_OTHERS);
        $here = self::deviceOf($request);
        $devices = [];
        foreach ($credentials === [] ? [] : Device::query()->with('patient')->whereNull('revoked_at')
            ->whereIn('credential_hash', array_map(self::hash(...), $credentials))->get() as $device) {
            foreach ($credentials as $credential) {
                if (self::hash($credential) === $device->credential_hash && ! $device->is($here)) {
                    $devices[$credential] = $device;
                }
            }
        }

        return $devices;
    }

    /**
     * Who was here before is kept beside, unless the new one is the same person's.
     *
     * @param  Device  $new  whose turn it is
     */
    public static function keepOthers(Request $request, Device $new): HttpCookie
    {
        $here = self::deviceOf($request);
        $all = [
            ...($here === null ? [] : [self::text($request, self::COOKIE) => $here]), ...self::others($request),
        ];
        $kept = array_filter($all, fn (Device $each) => $each->patient_id !== $new->patient_id);

        return self::make(self::OTHERS, (string) json_encode(array_slice(array_keys($kept), 0, self::MOST_OTHERS)));
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
        return self::make(self::COOKIE, $credential);
    }

    /** @return list<HttpCookie> what this device holds, as new */
    public static function renewed(Request $request): array
    {
        $cookies = [];
        foreach ([self::COOKIE, self::OTHERS] as $name) {
            if (self::text($request, $name) !== '') {
                $cookies[] = self::make($name, self::text($request, $name));
            }
        }

        return $cookies;
    }

    private static function text(Request $request, string $cookie): string
    {
        $value = $request->cookie($cookie);

        return is_string($value) ? $value : '';
    }

    private static function make(string $name, string $value): HttpCookie
    {
        return Cookie::make(
            $name, $value, self::DAYS * 24 * 60,
            secure: config()->boolean('session.secure'), httpOnly: true, sameSite: 'strict',
        );
    }
}
