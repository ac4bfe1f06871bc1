<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Programme\EndPause;
use App\Http\Requests\LineRequest;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

final class PauseController
{
    public function end(
        LineRequest $request,
        Patient $patient,
        Pause $pause,
        #[CurrentUser] Practitioner $practitioner,
        EndPause $end,
    ): RedirectResponse {
        abort_unless($pause->patient_id === $patient->id, 404);
        $end($patient, $pause, $practitioner, $request->line());

        return back(fallback: "/patients/{$patient->id}")->with('flash', 'The exercise goes on.');
    }
}
