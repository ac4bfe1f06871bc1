<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Models\Device;
use App\Support\TodayOf;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class TodayController
{
    public function __invoke(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return response()->json(TodayOf::patient($device->patient, now()));
    }
}
