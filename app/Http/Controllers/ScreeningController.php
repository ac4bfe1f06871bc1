<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Assessment\CompleteScreening;
use App\Http\Requests\ScreeningRequest;
use App\Models\AskedForm;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Screening;
use App\Pages\Shared\PatientHead;
use App\Pages\Shared\ScreeningForm;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final class ScreeningController
{
    public function show(Patient $patient): Response
    {
        $patient->load('latestScreening.answers', 'latestScreening.practitioner', 'openRedFlags');

        return Inertia::render('Screening', [
            'patient' => PatientHead::of($patient, now()),
            'questions' => ScreeningForm::questions(),
            'latest' => ScreeningForm::latest($patient),
            'red_flags' => ScreeningForm::redFlags($patient),
            'exercises' => ScreeningForm::exercises($patient),
            'crisis_number_missing' => ($patient->clinic->crisis_number ?? '') === '',
            'history' => ScreeningForm::history($patient),
            'from_home' => ScreeningForm::fromHome($patient),
            'has_device' => $patient->devices()->whereNull('revoked_at')->exists(),
        ]);
    }

    public function store(
        ScreeningRequest $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        CompleteScreening $complete,
    ): RedirectResponse {
        $confirms = $request->filled('confirms')

                ? $patient->askedForms()->where('form', AskedForm::SCREENING)->whereNotNull('completed_at')->whereNull('settled_at')
                    ->find($request->string('confirms')->value())
                : null;
        $complete(
            $patient, $practitioner, $request->answers(), $request->endDates($patient->dayOf(now())->date),
            $request->filled('pregnancy_weeks') ? $request->integer('pregnancy_weeks') : null,
            $request->filled('remark') ? $request->string('remark')->value() : null,
            $confirms, $request->happened(), $request->boolean('with_gas'), $this->corrected($request, $patient),
            $request->filled('correction_reason') ? $request->string('correction_reason')->trim()->value() : null,
        );

        return back(fallback: "/patients/{$patient->id}/screening")->with('flash', 'Screening kept.');
    }

    /** @throws ValidationException when it is not the latest one, or not of this day */
    private function corrected(ScreeningRequest $request, Patient $patient): ?Screening
    {
        if (! $request->filled('corrects')) {
            return null;
        }
        $latest = $patient->latestScreening()->first();
        $isOfToday = $latest !== null && $patient->dayOf($latest->completed_at)->equals($patient->dayOf(now()));
        if ($latest === null || $latest->id !== $request->integer('corrects') || ! $isOfToday) {
            throw ValidationException::withMessages([
                'correction_reason' => 'This screening is no longer the latest of today. '
                    .'Screen again instead; the answers stay as they are here.',
            ]);
        }

        return $latest;
    }
}
