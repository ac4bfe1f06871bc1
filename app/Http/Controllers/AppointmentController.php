<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Appointment;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** When a patient comes next. Times are the clinic's. */
final class AppointmentController
{
    /** Sets the next appointment with whoever is signed in; one that is still to come is moved. */
    public function store(Request $request, Patient $patient, #[CurrentUser] Practitioner $practitioner): RedirectResponse
    {
        $request->validate(['day' => ['required', 'date_format:Y-m-d'], 'time' => ['required', 'date_format:H:i']], [
            'day.required' => 'Choose a day.',
            'day.date_format' => 'This is not a date; write it like 31 Jan 2027.',
            'time.required' => 'Choose a time.',
            'time.date_format' => 'Write the time like 10:30.',
        ]);
        $zone = $patient->clinic->time_zone;
        $at = CarbonImmutable::parse($request->string('day')->value().' '.$request->string('time')->value(), $zone)->utc();
        if ($at->isPast()) {
            throw ValidationException::withMessages(['day' => 'That time is over.']);
        }
        if ($at->isAfter(now()->addYear())) {
            throw ValidationException::withMessages(['day' => 'That is more than a year away.']);
        }
        DB::transaction(function () use ($patient, $practitioner, $at) {
            Appointment::query()->where('patient_id', $patient->id)->whereNull('cancelled_at')->where('starts_at', '>', now())
                ->update(['cancelled_at' => now()]);
            Appointment::query()->create(['patient_id' => $patient->id, 'practitioner_id' => $practitioner->id, 'starts_at' => $at]);
        });

        return back(fallback: "/patients/{$patient->id}")->with(
            'flash', "Next appointment: {$at->setTimezone($zone)->format('D j M, H:i')}.",
        );
    }

    public function destroy(Patient $patient, int $appointment): RedirectResponse
    {
        Appointment::query()->where('patient_id', $patient->id)->whereNull('cancelled_at')->where('starts_at', '>', now())
            ->findOrFail($appointment)->update(['cancelled_at' => now()]);

        return back(fallback: "/patients/{$patient->id}")->with('flash', 'The appointment is taken back.');
    }
}
