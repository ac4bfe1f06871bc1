<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Guard\DeviceGuard;
use App\Guard\ScreenLock;
use App\Guard\Trail;
use App\Models\Device;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;

/** A patient's devices, as the patient sees them; each can be signed out. */
final class DeviceController
{
    public function index(#[CurrentUser('device')] Device $device): JsonResponse
    {
        $devices = $device->patient->devices()->whereNull('revoked_at')->latest()->limit(20)->get();

        return response()->json(['devices' => $devices->map(fn (Device $each) => [
            'id' => $each->id,
            'label' => $each->label,
            'since' => $each->created_at->setTimezone($device->patient->time_zone)->isoFormat('D MMMM YYYY'),
            'here' => $each->is($device),
        ])]);
    }

    /** A name by which patient and practitioner know it again. */
    public function update(Request $request, int $id, #[CurrentUser('device')] Device $device, Trail $trail): JsonResponse
    {
        $label = trim($request->validate(
            ['label' => ['required', 'string', 'max:60']],
            ['label.required' => __('patient.settings.name-it'), 'label.max' => __('patient.settings.name-long')],
        )['label']);
        $named = $device->patient->devices()->whereNull('revoked_at')->findOrFail($id);
        DB::transaction(function () use ($named, $label, $device, $trail) {
            $trail->changed('device', $named->label, $label);
            $named->update(['label' => $label]);
            $trail->device($device, 'devices/named');
        });

        return $this->index($device);
    }

    public function destroy(int $id, #[CurrentUser('device')] Device $device, Trail $trail): JsonResponse
    {
        $other = $device->patient->devices()->whereNull('revoked_at')->findOrFail($id);
        DB::transaction(function () use ($other, $device, $trail) {
            $other->update(['revoked_at' => now()]);
            $trail->changed('device', $other->label, null);
            $trail->device($device, 'devices/signed-out');
        });
        $answer = response()->json(['signed_out' => true]);
        if (! $other->is($device)) {
            return $answer;
        }
        ScreenLock::close($device);

        return $answer->withCookie(Cookie::forget(DeviceGuard::COOKIE));
    }
}
