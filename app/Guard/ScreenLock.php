<?php

declare(strict_types=1);

namespace App\Guard;

use App\Models\Device;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/**
 * Whether a device's screen was opened with its PIN. The browser holds a key that goes with it, the device's row its
 * hash and until when it opens. Only the PIN hands out a key and only locking takes it away: an answer that comes late
 * to another request can neither lock nor open the screen, as it could if this were kept in a session.
 */
final class ScreenLock
{
    public const COOKIE = 'ivory_pace_screen';

    /** Without a request for so long the screen locks itself. */
    private const IDLE_MINUTES = 30;

    public static function open(Request $request, Device $device): void
    {
        $key = DeviceGuard::newCredential();
        $device->update(['open_hash' => DeviceGuard::hash($key), 'open_until' => now()->addMinutes(self::IDLE_MINUTES)]);
        // Zero minutes: it ends with the browser.
        Cookie::queue(Cookie::make(self::COOKIE, $key, 0, secure: config()->boolean('session.secure'), httpOnly: true, sameSite: 'strict'));
        $request->cookies->set(self::COOKIE, $key);
    }

    public static function isOpenFor(Request $request, Device $device): bool
    {
        $key = $request->cookie(self::COOKIE);

        return $device->pin !== null && ! $device->isLockedOut() && is_string($key)
            && $device->open_hash !== null && hash_equals($device->open_hash, DeviceGuard::hash($key))
            && $device->open_until?->isFuture() === true;
    }

    /** A request keeps the screen open; that is written down once a minute at most. */
    public static function keepOpen(Device $device): void
    {
        $until = now()->addMinutes(self::IDLE_MINUTES);
        if ($device->open_until?->lt($until->subMinute()) === true) {
            Device::query()->whereKey($device->id)->where('open_hash', $device->open_hash)->update(['open_until' => $until]);
        }
    }

    public static function close(Device $device): void
    {
        $device->update(['open_hash' => null, 'open_until' => null]);
        Cookie::queue(Cookie::forget(self::COOKIE));
    }
}
