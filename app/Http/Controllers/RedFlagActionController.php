<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Assessment\ActOnRedFlag;
use App\Http\Requests\RedFlagActionRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\RaisedRedFlag;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

final class RedFlagActionController
{
    public function store(
        RedFlagActionRequest $request,
        Patient $patient,
        RaisedRedFlag $flag,
        #[CurrentUser] Practitioner $practitioner,
        ActOnRedFlag $act,
    ): RedirectResponse {
        abort_unless($flag->patient_id === $patient->id, 404);
        $act($patient, $flag, $practitioner, $request->line(), $request->outcome(), $request->lineages());

        return back(fallback: "/patients/{$patient->id}/screening")->with('flash', 'Action recorded.');
    }
}
