<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Device\DeviceState;
use App\Guard\Pins;
use App\Guard\ScreenLock;
use App\Guard\Trail;
use App\Language\ConsentText;
use App\Models\Device;
use App\Models\TrailKind;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

final class PinController
{
    public function __construct(private readonly Trail $trail)
    {
    }

    public function store(Request $request, #[CurrentUser('device')] Device $device): JsonResponse
    {
        abort_unless(ConsentText::isAcceptedFor($device->patient_id, $device->id), 409, __('patient.consent.first'));
        abort_if($device->pin !== null, 409, __('patient.pin.already'));
        $pin = $request->string('pin')->value();
        $problem = Pins::problem($pin);
        if ($problem !== null) {
            throw ValidationException::withMessages(['pin' => __($problem)]);
        }
        DB::transaction(function () use ($device, $pin) {
            $device->update(['pin' => $pin]);
            $this->trail->device($device, 'devices/pin');
        });
        ScreenLock::open($request, $device);

        return response()->json(DeviceState::of($device, $request));
    }

    /** Another PIN, by whoever knows the present one. A wrong one counts as at the door. */
    public function change(Request $request, #[CurrentUser('device')] Device $device): JsonResponse
    {
        $problem = Pins::problem($request->string('new')->value());
        if ($problem !== null) {
            throw ValidationException::withMessages(['new' => __($problem)]);
        }
        $this->unlock($request, $device);
        DB::transaction(function () use ($request, $device) {
            $device->update(['pin' => $request->string('new')->value()]);
            $this->trail->device($device, 'devices/pin-changed');
        });

        return response()->json(DeviceState::of($device, $request));
    }

    public function unlock(Request $request, #[CurrentUser('device')] Device $device): JsonResponse
    {
        abort_if($device->pin === null, 409, __('patient.pin.none'));
        if ($device->isLockedOut()) {
            throw ValidationException::withMessages(['pin' => __('patient.pin.locked-out')]);
        }
        // Counted before it is checked, so that many tries at the same moment are many tries.
        Device::query()->whereKey($device->id)->increment('wrong_pins');
        if (! Hash::check($request->string('pin')->limit(100, '')->value(), $device->pin)) {
            $device->refresh();
            $left = Device::MOST_WRONG_PINS - $device->wrong_pins;
            if ($left === 0) {
                $this->trail->device($device, 'devices/locked-out', TrailKind::Refused);
            }
            throw ValidationException::withMessages(['pin' => $left <= 0
                ? __('patient.pin.locked-out') : trans_choice('patient.pin.wrong', $left, ['left' => $left])]);
        }
        Device::query()->whereKey($device->id)->update(['wrong_pins' => 0, 'last_seen_at' => now()]);
        $device->refresh();
        ScreenLock::open($request, $device);

        return response()->json(DeviceState::of($device, $request));
    }

    public function lock(Request $request, #[CurrentUser('device')] Device $device): JsonResponse
    {
        ScreenLock::close($device);

        return response()->json(DeviceState::of($device, $request));
    }
}
