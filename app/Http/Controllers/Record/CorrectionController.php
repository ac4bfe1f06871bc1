<?php

declare(strict_types=1);

namespace App\Http\Controllers\Record;

use App\Actions\Correction\Archive;
use App\Actions\Correction\DropSession;
use App\Actions\Correction\Strike;
use App\Actions\Correction\WithdrawVersion;
use App\Actions\Correction\WrongDevice;
use App\Http\Requests\ReasonRequest;
use App\Models\CareSession;
use App\Models\Device;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Practitioner;
use App\Models\ProgrammeVersion;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;

/** Mistakes, each with its way back and its reason. */
final class CorrectionController
{
    public function measurement(
        ReasonRequest $request,
        Patient $patient,
        int $measurement,
        #[CurrentUser] Practitioner $practitioner,
        Strike $strike,
    ): RedirectResponse {
        $value = Measurement::query()->where('patient_id', $patient->id)->with('symptom')->findOrFail($measurement);
        $strike->measurement($patient, $value, $practitioner, $request->reason());

        return back(fallback: "/patients/{$patient->id}/record")->with(
            'flash', 'Struck. It stays readable in the record and counts no more; a red flag that it opened stays until you have looked.',
        );
    }

    public function practice(
        ReasonRequest $request,
        Patient $patient,
        string $uuid,
        #[CurrentUser] Practitioner $practitioner,
        Strike $strike,
    ): RedirectResponse {
        $practice = Practice::query()->where('patient_id', $patient->id)->where('uuid', $uuid)->firstOrFail();
        $strike->practice($practice, $practitioner, $request->reason());

        return back(fallback: "/patients/{$patient->id}")->with(
            'flash', 'Taken back.'.($practice->stop_symptom === null ? '' : ' A pause that it made stays until you have looked.'),
        );
    }

    public function session(
        ReasonRequest $request,
        Patient $patient,
        CareSession $careSession,
        #[CurrentUser] Practitioner $practitioner,
        DropSession $drop,
    ): RedirectResponse {
        $drop($careSession, $practitioner, $request->reason());

        return redirect("/patients/{$patient->id}/record")->with(
            'flash', 'The session is dropped. What was measured in it stands until you strike it here.',
        );
    }

    public function version(
        ReasonRequest $request,
        Patient $patient,
        int $number,
        #[CurrentUser] Practitioner $practitioner,
        WithdrawVersion $withdraw,
    ): RedirectResponse {
        $version = $patient->activeProgramme?->versions()->firstWhere('number', $number);
        abort_unless($version instanceof ProgrammeVersion, 404);
        $withdraw($patient, $version, $practitioner, $request->reason());

        return redirect("/patients/{$patient->id}")->with('flash', "Version $number is withdrawn; what was in force before is in force.");
    }

    public function device(
        ReasonRequest $request,
        Patient $patient,
        Device $device,
        #[CurrentUser] Practitioner $practitioner,
        WrongDevice $wrong,
    ): RedirectResponse {
        abort_unless($device->patient_id === $patient->id, 404);
        $moved = $wrong($device, $practitioner, $request->reason());

        return redirect("/patients/{$patient->id}/access")->with('flash', 'The device is signed out, and '.match ($moved) {
            0 => 'nothing had come from it.',
            1 => 'the one thing that came from it counts no more.',
            default => "the $moved things that came from it count no more.",
        });
    }

    public function archive(ReasonRequest $request, Patient $patient, Archive $archive): RedirectResponse
    {
        $archive($patient, $request->reason());

        return redirect("/patients/{$patient->id}/record")
            ->with('flash', 'Archived. The record stays; bring the patient back at any time.');
    }

    public function bringBack(Patient $patient, Archive $archive): RedirectResponse
    {
        $archive->bringBack($patient);

        return redirect("/patients/{$patient->id}/record")->with('flash', 'The patient is back in the Caseload.');
    }
}
