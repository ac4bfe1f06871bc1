<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Programme\EndPause;
use App\Actions\Programme\PauseByPractitioner;
use App\Http\Requests\LineRequest;
use App\Http\Requests\PauseRequest;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

final class PauseController
{
    /** One exercise, or every one but recovery. */
    public function store(
        PauseRequest $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        PauseByPractitioner $pause,
    ): RedirectResponse {
        $pause($patient, $practitioner, $request->lineage(), $request->reason());

        return back(fallback: "/patients/{$patient->id}")->with('flash', 'Paused. The patient reads why.');
    }

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
