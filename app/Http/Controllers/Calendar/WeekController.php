<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calendar;

use App\Http\Requests\FromAddress;
use App\Models\Practitioner;
use App\Pages\Week\PatientsFound;
use App\Pages\Week\WeekPage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** The clinic's week, and whom one can give an appointment in it. */
final class WeekController
{
    public function show(Request $request, #[CurrentUser] Practitioner $practitioner): Response
    {
        return Inertia::render('Week', WeekPage::of(
            $practitioner, FromAddress::text($request, 'of'), FromAddress::text($request, 'whose'), now()->toImmutable(),
        ));
    }

    public function patients(Request $request, #[CurrentUser] Practitioner $practitioner): JsonResponse
    {
        return new JsonResponse(PatientsFound::of($practitioner->clinic, FromAddress::text($request, 'find'), now()->toImmutable()));
    }
}
