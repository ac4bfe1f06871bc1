<?php

declare(strict_types=1);

namespace App\Http\Controllers\Record;

use App\Actions\Records\AskErasure;
use App\Http\Requests\ErasureRequest;
use App\Http\Requests\ReasonRequest;
use App\Models\Erasure;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** A patient asked to be forgotten: everything goes, or the lead says why it does not. */
final class ErasureController
{
    public function store(ErasureRequest $request, Patient $patient, #[CurrentUser] Practitioner $lead, AskErasure $ask): RedirectResponse
    {
        $ask($patient, $lead, Erasure::REQUEST);

        return redirect('/')->with('flash', 'The record is being erased. In a moment nothing of it is left here.');
    }

    public function refuse(ReasonRequest $request, Patient $patient, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        Erasure::query()->create([
            'clinic_id' => $patient->clinic_id, 'practitioner_id' => $lead->id, 'patient_id' => $patient->id,
            'outcome' => Erasure::REFUSED, 'why' => Erasure::REQUEST, 'reason' => $request->reason(), 'asked_at' => now(),
        ]);

        return back(fallback: "/patients/{$patient->id}/record")->with('flash', 'Recorded. The record stays as it is.');
    }
}
