<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Facts\Calendar\AppointmentsOf;
use App\Facts\Calendar\PracticeTimesOf;
use App\Language\PatientLanguage;
use App\Models\Appointment;
use App\Models\Patient;
use App\Models\Programme;
use Carbon\CarbonImmutable;
use IvoryPace\Calendar\Weekday;
use IvoryPace\Practice\PracticeTime;

/**
 * A patient's appointments and practices, with alarms, in the patient's zone and language. Nothing in it tells why somebody
 * practises what; what is paused is left out.
 */
final class PatientFeed
{
    /** RFC 5545's names of the weekdays. */
    private const DAYS = [1 => 'MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

    /** Minutes before an appointment: a day, and an hour. */
    private const BEFORE = [-1440, -60];

    public static function text(Patient $patient, CarbonImmutable $now): string
    {
        return PatientLanguage::of($patient, function () use ($patient, $now) {
            $calendar = new Calendar((string) __('patient.calendar.name'), $now->setTimezone($patient->time_zone)->toDateTimeImmutable());
            foreach (AppointmentsOf::ofPatient($patient, $now) as $appointment) {
                self::appointment($calendar, $appointment);
            }
            foreach (PracticeTimesOf::patient($patient, $now) as $time) {
                self::practice($calendar, $time, $patient->activeProgramme);
            }

            return $calendar->text();
        });
    }

    private static function appointment(Calendar $calendar, Appointment $appointment): void
    {
        $words = (string) __('patient.calendar.appointment', ['name' => $appointment->practitioner->name]);
        $event = $calendar->event(
            "appointment-{$appointment->id}", $words, $appointment->starts_at, $appointment->minutes,
            $appointment->updated_at ?? $appointment->starts_at, $appointment->revision,
        );
        foreach (self::BEFORE as $minutes) {
            Calendar::remind($event, $minutes, $words);
        }
    }

    private static function practice(Calendar $calendar, PracticeTime $time, ?Programme $programme): void
    {
        $version = $programme?->versions->firstWhere('number', $time->version);
        $habit = $time->name !== '' ? $time->name : (string) __("anchor.{$time->anchor->value}");
        $words = (string) __('patient.calendar.practice', ['when' => $habit]);
        $event = $calendar->event(
            "practice-{$programme?->id}-{$time->version}-".self::key($time), $words, $time->first, $time->minutes,
            $version->issued_at ?? $time->first, wall: $time->opens->toString(),
        );
        $event->add('RRULE', [
            'FREQ' => 'WEEKLY', 'BYDAY' => self::days($time->weekdays), 'UNTIL' => Calendar::utc($time->last),
        ]);
        foreach ($time->oddNights() as $date => $at) {
            $calendar->instead($event, "{$date} {$time->opens->toString()}", $at);
        }
        $event->add('DESCRIPTION', (string) __('patient.calendar.practice-text'));
        $event->add('TRANSP', 'TRANSPARENT');
        Calendar::remind($event, $time->reminderAfter(), $words);
    }

    /** What tells it from the others of its version. */
    private static function key(PracticeTime $time): string
    {
        return substr(hash('sha256', "{$time->anchor->value} {$time->name} {$time->opens->minutes} {$time->minutes}"), 0, 12);
    }

    /**
     * @param  list<Weekday>  $weekdays
     * @return list<string>
     */
    private static function days(array $weekdays): array
    {
        $numbers = array_map(fn (Weekday $day) => $day->value, $weekdays);
        sort($numbers);

        return array_map(fn (int $number) => self::DAYS[$number], $numbers);
    }
}
