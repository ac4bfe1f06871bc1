<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CompleteScreening;
use App\Http\Requests\ScreeningRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Support\PatientHead;
use App\Support\ScreeningForm;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

final class ScreeningController
{
    public function show(Patient $patient): Response
    {
        $patient->load('latestScreening.answers.actions.practitioner', 'latestScreening.practitioner');

        return Inertia::render('Screening', [
            'patient' => PatientHead::of($patient, now()),
            'questions' => ScreeningForm::questions(),
            'latest' => ScreeningForm::latest($patient),
        ]);
    }

    public function store(ScreeningRequest $request, Patient $patient, #[CurrentUser] Practitioner $practitioner, CompleteScreening $complete): RedirectResponse
    {
        $complete(
            $patient, $practitioner, $request->answers(), $request->endDates(),
            $request->filled('pregnancy_weeks') ? $request->integer('pregnancy_weeks') : null,
            $request->filled('remark') ? $request->string('remark')->value() : null,
        );

        return redirect("/patients/{$patient->id}/screening")->with('flash', 'Screening kept.');
    }
}
