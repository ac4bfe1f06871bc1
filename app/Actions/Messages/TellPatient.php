<?php

declare(strict_types=1);

namespace App\Actions\Messages;

use App\Guard\StopLink;
use App\Language\PatientLanguage;
use App\Mail\PatientMail;
use App\Models\Appointment;
use App\Models\Patient;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Mail;
use IvoryPace\Practice\DueSlot;

/** Messages to a patient who wished for them and has an address: in their language, never at night. */
final class TellPatient
{
    /** Hours of the patient's clock between which a message is sent. */
    private const FROM = 8;

    private const UNTIL = 21;

    /** Later than so long before an appointment nothing waits for the morning. */
    private const HOURS_AHEAD = 3;

    /**
     * @param  'made'|'moved'|'another'|'cancelled'|'tomorrow'  $what
     * @param  non-empty-list<Appointment>  $appointments  of one patient
     */
    public static function ofAppointments(string $what, array $appointments): void
    {
        $patient = $appointments[0]->patient;
        $to = $patient->email();
        if (! $patient->mails_appointments || $to === null || $patient->archived_at !== null) {
            return;
        }
        // Of tomorrow once for each time that it is at; of a change each time anew, as it may be changed back.
        $as = fn (Appointment $each) => $what === 'tomorrow' ? $each->starts_at->getTimestamp() : $each->revision;
        $which = implode(' ', array_map(fn (Appointment $each) => "{$each->id} {$as($each)}", $appointments));
        if (Once::first("appointment {$what} {$which}")) {
            $mail = PatientLanguage::of($patient, fn () => PatientMail::appointment(
                $patient->clinic, $what, array_map(fn (Appointment $each) => self::when($each, $patient), $appointments),
                $appointments[0]->practitioner->name, StopLink::of($patient),
            ));
            Mail::to($to)->later(self::notAtNight($patient, $appointments[0]->starts_at, now()->toImmutable()), $mail);
        }
    }

    /** @return bool whether it was sent now */
    public static function ofPractice(Patient $patient, DueSlot $slot, string $day): bool
    {
        $to = $patient->email();
        if ($to === null || ! Once::first("practice {$patient->id} {$day} {$slot->anchor->value} {$slot->name}")) {
            return false;
        }
        Mail::to($to)->queue(PatientLanguage::of($patient, fn () => PatientMail::practice(
            $patient->clinic, $slot->name !== '' ? $slot->name : (string) __("anchor.{$slot->anchor->value}"), StopLink::of($patient),
        )));

        return true;
    }

    private static function when(Appointment $appointment, Patient $patient): string
    {
        return $appointment->starts_at->setTimezone($patient->time_zone)->isoFormat('dddd D MMMM YYYY, HH:mm');
    }

    /** In the morning, unless that would be too late for the appointment. */
    private static function notAtNight(Patient $patient, CarbonImmutable $starts, CarbonImmutable $now): CarbonImmutable
    {
        $here = $now->setTimezone($patient->time_zone);
        $morning = match (true) {
            $here->hour < self::FROM => $here->setTime(self::FROM, 0),
            $here->hour >= self::UNTIL => $here->addDay()->setTime(self::FROM, 0),
            default => $now,
        };

        return $morning->addHours(self::HOURS_AHEAD)->isAfter($starts) ? $now : $morning;
    }
}
