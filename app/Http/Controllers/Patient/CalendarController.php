<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Feeds\PatientFeed;
use App\Guard\Trail;
use App\Http\Controllers\Calendar\FeedController;
use App\Models\CalendarAddress;
use App\Models\Device;
use App\Models\TrailKind;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** The patient's appointments and practices in the calendar of their phone. */
final class CalendarController
{
    public function show(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return response()->json(self::state($device));
    }

    public function store(#[CurrentUser('device')] Device $device, Trail $trail): JsonResponse
    {
        $address = DB::transaction(function () use ($device, $trail) {
            $trail->device($device, 'devices/calendar-address', TrailKind::Export);

            return CalendarAddress::handOut($device);
        });

        return response()->json([...self::state($device), 'address' => $address]);
    }

    public function destroy(#[CurrentUser('device')] Device $device, Trail $trail): JsonResponse
    {
        DB::transaction(function () use ($device, $trail) {
            CalendarAddress::of($device)->update(['revoked_at' => now()]);
            $trail->device($device, 'devices/calendar-address-ended');
        });

        return response()->json(self::state($device));
    }

    public function file(#[CurrentUser('device')] Device $device, Trail $trail): Response
    {
        $text = PatientFeed::text($device->patient, now()->toImmutable());
        $trail->device($device, 'devices/calendar.ics', TrailKind::Export);

        return FeedController::file($text);
    }

    /** @return array{since: string|null, read: string|null} */
    private static function state(Device $device): array
    {
        $address = CalendarAddress::of($device)->latest('id')->first();
        $zone = $device->patient->time_zone;

        return [
            'since' => $address?->made_at->setTimezone($zone)->isoFormat('D MMMM YYYY'),
            'read' => $address?->read_at?->setTimezone($zone)->isoFormat('D MMMM, HH:mm'),
        ];
    }
}
