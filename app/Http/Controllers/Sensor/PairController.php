<?php

declare(strict_types=1);

namespace App\Http\Controllers\Sensor;

use App\Guard\SensorGuard;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A device of the room hands in the short code that the practitioner sees, and gets a token of its own. */
final class PairController
{
    public function __invoke(Request $request): JsonResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:40']], ['code.*' => 'Send the code that the page shows.']);
        $paired = SensorGuard::pair($request->string('code')->toString(), CarbonImmutable::now());
        if ($paired === null) {
            throw ValidationException::withMessages([
                'code' => 'This code is not known, was used already, or is older than ten minutes. Make a new one on the page.',
            ]);
        }

        return response()->json(['name' => $paired[0]->name, 'token' => $paired[1]], 201);
    }
}
