<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Guard\Trail;
use App\Models\Device;
use App\Models\Patient;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Which messages a patient wishes for. */
final class MessagesController
{
    public function show(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return response()->json(self::state($device->patient));
    }

    public function update(Request $request, #[CurrentUser('device')] Device $device, Trail $trail): JsonResponse
    {
        $wish = $request->validate(['appointments' => ['required', 'boolean'], 'practice' => ['required', 'boolean']]);
        DB::transaction(function () use ($wish, $device, $trail) {
            $device->patient->fill([
                'mails_appointments' => (bool) $wish['appointments'], 'mails_practice' => (bool) $wish['practice'],
            ]);
            $trail->changing($device->patient);
            $device->patient->save();
            $trail->device($device, 'devices/messages');
        });

        return response()->json(self::state($device->patient));
    }

    /** @return array{email: string|null, appointments: bool, practice: bool} */
    private static function state(Patient $patient): array
    {
        return [
            'email' => $patient->email(), 'appointments' => $patient->mails_appointments, 'practice' => $patient->mails_practice,
        ];
    }
}
