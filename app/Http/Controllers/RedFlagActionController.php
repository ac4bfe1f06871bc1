<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LineRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\RaisedRedFlag;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

final class RedFlagActionController
{
    public function store(LineRequest $request, Patient $patient, RaisedRedFlag $flag, #[CurrentUser] Practitioner $practitioner): RedirectResponse
    {
        abort_unless($flag->patient_id === $patient->id, 404);
        $flag->actions()->create([
            'practitioner_id' => $practitioner->id, 'action' => $request->line(), 'recorded_at' => now(),
        ]);

        return back(fallback: "/patients/{$patient->id}/screening")->with('flash', 'Action recorded.');
    }
}
