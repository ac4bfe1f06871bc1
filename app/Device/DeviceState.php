<?php

declare(strict_types=1);

namespace App\Device;

use App\Guard\ScreenLock;
use App\Language\ConsentText;
use App\Models\Device;
use Illuminate\Http\Request;

/** How far a device has come, and what its patient must read or type next. */
final class DeviceState
{
    /** @return array<string, mixed> */
    public static function of(Device $device, Request $request): array
    {
        $clinic = $device->patient->clinic;
        $state = match (true) {
            ! ConsentText::isAcceptedFor($device->patient_id, $device->id) => 'consent',
            $device->pin === null => 'pin',
            $device->isLockedOut() => 'locked-out',
            ! ScreenLock::isOpenFor($request, $device) => 'locked',
            default => 'ready',
        };

        return [
            'state' => $state,
            'clinic' => $clinic->name,
            'emergency' => $clinic->emergency_wording,
            'telephone' => $clinic->telephone,
            'consent' => $state === 'consent'
                ? ['version' => ConsentText::VERSION, 'paragraphs' => ConsentText::paragraphs($clinic)]
                : null,
        ];
    }
}
