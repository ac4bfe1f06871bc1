<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Clinic\HandOver;
use App\Http\Requests\PatientRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Record\RecordOf;
use DateTimeZone;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** The record of one patient, its details, and who is responsible. */
final class RecordController
{
    public function show(Patient $patient, #[CurrentUser] Practitioner $practitioner): Response
    {
        $patient->load(
            'latestScreening.answers', 'openRedFlags', 'activeProgramme.versions.items', 'activeProgramme.versions.practitioner',
            'practitioner',
        );

        return Inertia::render(
            'Record', [...RecordOf::patient($patient, $practitioner, now()), 'time_zones' => DateTimeZone::listIdentifiers()],
        );
    }

    public function update(PatientRequest $request, Patient $patient): RedirectResponse
    {
        $patient->update($request->details());

        return back(fallback: "/patients/{$patient->id}/record")->with('flash', 'Details kept.');
    }

    public function handOver(
        Request $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        HandOver $handOver,
    ): RedirectResponse {
        $request->validate(
            [
                'kind' => ['required', 'in:move,share,end-share'], 'to' => ['required', 'integer'],
                'reason' => ['required', 'string', 'min:3', 'max:500'],
            ],
            [
                'kind.required' => 'Choose what is to happen.', 'kind.in' => 'Choose what is to happen.',
                'to.required' => 'Choose a colleague.', 'reason.required' => 'Say why, in a line.',
                'reason.min' => 'Say why, in a word at least.',
            ],
        );
        $done = $handOver(
            $patient, $practitioner, $request->string('kind')->value(), $request->integer('to'),
            $request->string('reason')->trim()->value(),
        );

        return back(fallback: "/patients/{$patient->id}/record")->with('flash', $done);
    }
}
