<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Guard\Wellbeing;
use Illuminate\Http\JsonResponse;

/** For whatever watches the installation: 200 when it works, 503 with the part that does not. */
final class UpController
{
    public function __invoke(): JsonResponse
    {
        $parts = Wellbeing::parts();

        return response()->json($parts, in_array(false, $parts, true) ? 503 : 200);
    }
}
