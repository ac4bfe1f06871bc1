<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Actions\WriteDiary;
use App\Http\Requests\Patient\DiaryRequest;
use App\Models\Device;
use App\Support\DiaryOf;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class DiaryController
{
    public function show(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return response()->json(DiaryOf::patient($device->patient->load('activeProgramme.versions'), now()));
    }

    public function update(DiaryRequest $request, string $day, #[CurrentUser('device')] Device $device, WriteDiary $write): JsonResponse
    {
        $write($device, $day, $request->ratings(), $request->filled('sleep') ? $request->integer('sleep') : null, $request->filled('text') ? $request->string('text')->trim()->value() : null);

        return response()->json(DiaryOf::patient($device->patient->load('activeProgramme.versions'), now()));
    }
}
