<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Actions\StorePractice;
use App\Http\Requests\Patient\PracticeRequest;
use App\Models\Device;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final class PracticeController
{
    public function store(PracticeRequest $request, #[CurrentUser('device')] Device $device, StorePractice $store): JsonResponse
    {
        [$practice, $isNew] = $store($device, $request->log());

        return response()->json(['uuid' => $practice->uuid, 'stored' => true, 'again' => ! $isNew], $isNew ? 201 : 200);
    }
}
