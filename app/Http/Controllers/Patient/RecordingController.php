<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Actions\Recording\SayOfTraces;
use App\Device\RecordingShown;
use App\Guard\Trail;
use App\Models\Device;
use App\Models\Recording;
use App\Models\TrailKind;
use App\Signals\TracesAgreed;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What the patient's phone felt, and whether its samples may stay. */
final class RecordingController
{
    public function show(string $uuid, #[CurrentUser('device')] Device $device): JsonResponse
    {
        $recording = Recording::query()->where('patient_id', $device->patient_id)->where('uuid', $uuid)->first();

        return response()->json(RecordingShown::of($recording));
    }

    public function traces(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return response()->json(self::said($device));
    }

    public function say(Request $request, #[CurrentUser('device')] Device $device, SayOfTraces $say, Trail $trail): JsonResponse
    {
        $request->validate(
            ['kept' => ['required', 'boolean'], 'version' => ['required', 'in:'.TracesAgreed::VERSION]],
            ['version.in' => __('patient.consent.changed')],
        );
        $say($device->patient, $request->boolean('kept'), CarbonImmutable::now(), device: $device);
        $trail->device($device, 'devices/traces', TrailKind::Write);

        return response()->json(self::said($device));
    }

    /** @return array{kept: bool|null, version: string, text: string} */
    private static function said(Device $device): array
    {
        return [
            'kept' => TracesAgreed::by($device->patient), 'version' => TracesAgreed::VERSION,
            'text' => TracesAgreed::text($device->patient),
        ];
    }
}
