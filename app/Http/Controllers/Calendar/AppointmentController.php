<?php

declare(strict_types=1);

namespace App\Http\Controllers\Calendar;

use App\Actions\Calendar\BookAppointments;
use App\Actions\Calendar\CancelAppointment;
use App\Actions\Calendar\MoveAppointment;
use App\Facts\Calendar\WhatMeets;
use App\Http\Requests\Calendar\AppointmentRequest;
use App\Models\Appointment;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use IvoryPace\Calendar\AppointmentKind;

/** When a patient comes. Times are the clinic's. */
final class AppointmentController
{
    public function store(
        AppointmentRequest $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        BookAppointments $book,
    ): RedirectResponse {
        $came = $patient->careSessions()->exists()
            || Appointment::query()->where('patient_id', $patient->id)->whereNull('cancelled_at')->exists();
        $kind = $request->kind($came ? AppointmentKind::Review : AppointmentKind::First);
        $starts = $request->starts($patient->clinic->time_zone);
        $request->checkRoomFor($patient, count($starts));
        $with = $request->practitioner($practitioner);
        $made = $book($patient, $with, $starts, $kind, $request->minutes($patient->clinic->minutesOf($kind)));

        return $this->back($patient, $with, $made, count($made) === 1 ? 'Appointment' : count($made).' appointments, the first');
    }

    public function update(
        AppointmentRequest $request,
        Patient $patient,
        int $appointment,
        MoveAppointment $move,
    ): RedirectResponse {
        $found = self::ahead($patient, $appointment);
        $with = $request->practitioner($found->practitioner);
        $all = $move(
            $found, $request->starts($patient->clinic->time_zone)[0], $with, $request->kind($found->kind),
            $request->minutes($found->minutes), $request->withLater(),
        );

        return $this->back($patient, $with, $all, count($all) === 1 ? 'Moved' : count($all).' appointments moved, the first');
    }

    public function destroy(Request $request, Patient $patient, int $appointment, CancelAppointment $cancel): RedirectResponse
    {
        $number = $cancel(self::ahead($patient, $appointment), $request->boolean('later'));

        return back(fallback: "/patients/{$patient->id}")->with(
            'flash', $number === 1 ? 'The appointment is taken back.' : "{$number} appointments are taken back.",
        );
    }

    private static function ahead(Patient $patient, int $appointment): Appointment
    {
        return Appointment::ahead()->where('patient_id', $patient->id)->findOrFail($appointment);
    }

    /** @param  non-empty-list<Appointment>  $all */
    private function back(Patient $patient, Practitioner $with, array $all, string $what): RedirectResponse
    {
        $at = $all[0]->starts_at->setTimezone($patient->clinic->time_zone)->format('D j M, H:i');

        return back(fallback: "/patients/{$patient->id}")->with(
            'flash', implode(' ', ["{$what}: {$at} with {$with->name}.", ...WhatMeets::sentences($with, $all)]),
        );
    }
}
