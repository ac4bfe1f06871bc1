<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LineRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\ScreeningAnswer;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

final class RedFlagActionController
{
    public function store(LineRequest $request, Patient $patient, ScreeningAnswer $answer, #[CurrentUser] Practitioner $practitioner): RedirectResponse
    {
        abort_unless($answer->screening->patient_id === $patient->id && $answer->answer && $answer->redFlag() !== null, 404);
        $answer->actions()->create([
            'practitioner_id' => $practitioner->id, 'action' => $request->line(), 'recorded_at' => now(),
        ]);

        return redirect("/patients/{$patient->id}/screening")->with('flash', 'Action recorded.');
    }
}
