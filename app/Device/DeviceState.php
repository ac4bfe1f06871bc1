<?php

declare(strict_types=1);

namespace App\Device;

use App\Guard\DeviceGuard;
use App\Guard\ScreenLock;
use App\Language\ConsentText;
use App\Models\Device;
use App\Signals\TracesAgreed;
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
            'others' => self::others($request),
            'consent' => $state === 'consent'
                ? [
                    'version' => ConsentText::VERSION, 'paragraphs' => ConsentText::paragraphs($clinic),
                    // A line of its own, which is no condition; who has said something already is not asked again.
                    'traces' => TracesAgreed::by($device->patient) === null ? TracesAgreed::text($device->patient) : null,
                ]
                : null,
        ];
    }

    /** @return list<array{id: int, initials: string}> who else may take their turn here; as little as tells them apart before a PIN */
    public static function others(Request $request): array
    {
        return array_values(array_map(fn (Device $each) => [
            'id' => $each->id,
            'initials' => implode(' ', array_map(
                fn (string $word) => mb_strtoupper(mb_substr($word, 0, 1)), array_slice(explode(' ', $each->patient->name), 0, 3),
            )),
        ], DeviceGuard::others($request)));
    }
}
