<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Programme\SettleFindings;
use App\Http\Requests\LineRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** A practitioner has looked at what a new fact said of the running programme. */
final class NewFindingsController
{
    public function __invoke(
        LineRequest $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        SettleFindings $settle,
    ): RedirectResponse {
        $settle($patient, $practitioner, $request->line());

        return back(fallback: "/patients/{$patient->id}")->with('flash', 'Looked at; the programme goes on as it is.');
    }
}
