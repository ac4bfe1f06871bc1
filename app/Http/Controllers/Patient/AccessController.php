<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Actions\Access\RegisterDevice;
use App\Actions\Recording\SayOfTraces;
use App\Device\DeviceState;
use App\Guard\DeviceGuard;
use App\Guard\ScreenLock;
use App\Guard\Trail;
use App\Http\Requests\Patient\AccessRequest;
use App\Language\ConsentText;
use App\Models\Consent;
use App\Models\Device;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

final class AccessController
{
    public function __construct(private readonly Trail $trail)
    {
    }

    /** Confirms a link or code: this uses it up and makes this device the patient's. */
    public function store(AccessRequest $request, RegisterDevice $register): JsonResponse
    {
        $tries = $request->tries();
        $tries->ensureSomeAreLeft('code', (string) __('patient.enter.wait'));
        [$column, $hash] = $request->secret();
        $made = $register($column, $hash, $request->deviceLabel());
        if ($made === null) {
            $tries->countFailure();
            throw ValidationException::withMessages(['code' => __('patient.enter.not-valid')]);
        }
        [$device, $credential] = $made;

        return response()->json(DeviceState::of($device, $request), 201)
            ->withCookie(DeviceGuard::keepOthers($request, $device))->withCookie(DeviceGuard::cookie($credential));
    }

    /** How far this device has come: unknown, consent, pin, locked, ready. */
    public function show(Request $request): JsonResponse
    {
        $device = $request->user('device');

        return response()->json(
            $device instanceof Device ? DeviceState::of($device, $request)
                : ['state' => 'unknown', 'others' => DeviceState::others($request)],
        );
    }

    /** Another who uses this tablet takes their turn; their PIN is asked. */
    public function turn(Request $request): JsonResponse
    {
        foreach (DeviceGuard::others($request) as $credential => $device) {
            if ($device->id === $request->integer('device')) {
                $answer = response()->json(DeviceState::of($device, $request))
                    ->withCookie(DeviceGuard::keepOthers($request, $device))->withCookie(DeviceGuard::cookie((string) $credential));
                ScreenLock::close($device);

                return $answer;
            }
        }
        abort(401);
    }

    /** Nothing is recorded of somebody who does not agree, but that they do not; the device is nobody's again. */
    public function decline(#[CurrentUser('device')] Device $device): JsonResponse
    {
        abort_if(ConsentText::isAcceptedFor($device->patient_id, $device->id), 409, __('patient.consent.agreed'));
        DB::transaction(function () use ($device) {
            Consent::query()->create([
                'patient_id' => $device->patient_id, 'device_id' => $device->id, 'kind' => 'declined',
                'version' => ConsentText::VERSION, 'text_hash' => ConsentText::hash($device->patient->clinic), 'given_at' => now(),
            ]);
            $device->update(['revoked_at' => now()]);
            $this->trail->device($device, 'devices/declined');
        });

        return response()->json(['state' => 'unknown'])->withCookie(Cookie::forget(DeviceGuard::COOKIE));
    }

    public function consent(Request $request, #[CurrentUser('device')] Device $device, SayOfTraces $say): JsonResponse
    {
        $request->validate(
            ['version' => ['required', 'in:'.ConsentText::VERSION], 'traces' => ['sometimes', 'nullable', 'boolean']],
            ['version.in' => __('patient.consent.changed')],
        );
        if (! ConsentText::isAcceptedFor($device->patient_id, $device->id)) {
            DB::transaction(function () use ($device, $request, $say) {
                Consent::query()->create([
                    'patient_id' => $device->patient_id, 'device_id' => $device->id, 'kind' => 'accepted',
                    'version' => ConsentText::VERSION, 'text_hash' => ConsentText::hash($device->patient->clinic), 'given_at' => now(),
                ]);
                if ($request->boolean('traces')) {
                    $say($device->patient, true, now()->toImmutable(), device: $device);
                }
                $this->trail->device($device, 'devices/consent');
            });
        }

        return response()->json(DeviceState::of($device, $request));
    }
}
