<?php

declare(strict_types=1);

namespace App\Http\Controllers\Signals;

use App\Guard\AccessCode;
use App\Models\Practitioner;
use App\Models\Sensor;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** Devices of the room are the clinic's: paired by a short code, and ended by anyone who works there. */
final class SensorsController
{
    /** The code is shown once, and works for ten minutes. */
    public function store(Request $request, #[CurrentUser] Practitioner $by): JsonResponse
    {
        $request->validate(
            ['name' => ['required', 'string', 'max:'.Sensor::MOST_NAME]],
            ['name.*' => 'Give the device a name of at most '.Sensor::MOST_NAME.' letters, such as “Belts at the window”.'],
        );
        $now = CarbonImmutable::now();
        $ours = fn () => Sensor::query()->where('clinic_id', $by->clinic_id)->whereNull('revoked_at');
        $ours()->whereNull('paired_at')->where('code_until', '<=', $now)->update(['revoked_at' => $now]);
        if ($ours()->count() >= Sensor::MOST) {
            throw ValidationException::withMessages(['name' => 'There are '.Sensor::MOST.' devices. End one that is no longer there.']);
        }
        $code = AccessCode::random();
        $sensor = Sensor::query()->create([
            'clinic_id' => $by->clinic_id, 'practitioner_id' => $by->id, 'name' => trim($request->string('name')->toString()),
            'code_hash' => AccessCode::hash($code), 'code_until' => $now->addMinutes(Sensor::CODE_MINUTES), 'created_at' => $now,
        ]);

        return response()->json(['id' => $sensor->id, 'code' => $code, 'minutes' => Sensor::CODE_MINUTES], 201);
    }

    public function destroy(string $sensor, #[CurrentUser] Practitioner $by): JsonResponse
    {
        $found = Sensor::query()->where('clinic_id', $by->clinic_id)->whereNull('revoked_at')->findOrFail((int) $sensor);
        $found->update(['revoked_at' => CarbonImmutable::now(), 'code_hash' => null]);

        return response()->json(['ended' => true]);
    }
}
