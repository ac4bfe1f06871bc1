<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Device;
use Illuminate\Http\Request;

/** Whether a device's screen was unlocked with its PIN in this page session. */
final class ScreenLock
{
    private const KEY = 'unlocked_device';

    public static function open(Request $request, Device $device): void
    {
        $request->session()->regenerate();
        $request->session()->put(self::KEY, $device->id);
    }

    public static function isOpenFor(Request $request, Device $device): bool
    {
        return $device->pin !== null && ! $device->isLockedOut()
            && $request->session()->get(self::KEY) === $device->id;
    }

    public static function close(Request $request): void
    {
        $request->session()->forget(self::KEY);
        $request->session()->regenerate();
    }
}
