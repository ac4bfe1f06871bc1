<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Facts\Calendar\AppointmentsOf;
use App\Models\Absence;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;

/** A practitioner's appointments and absences for a calendar outside: initials at most, and nothing of why somebody comes. */
final class PractitionerFeed
{
    private const MOST = 200;

    public static function text(Practitioner $who, CarbonImmutable $now): string
    {
        $calendar = new Calendar('Ivory Pace', $now->setTimezone($who->clinic->time_zone)->toDateTimeImmutable());
        foreach (AppointmentsOf::ofPractitioner($who, $now) as $appointment) {
            $name = $who->clinic->calendar_initials ? self::initials($appointment->patient->name) : 'Appointment';
            $calendar->event(
                "appointment-{$appointment->id}", $name,
                $appointment->starts_at, $appointment->minutes, $appointment->updated_at ?? $appointment->starts_at, $appointment->revision,
            );
        }
        $away = Absence::query()->where('practitioner_id', $who->id)->where('ends_at', '>', $now->subDays(AppointmentsOf::DAYS_BACK))
            ->orderBy('starts_at')->limit(self::MOST)->get();
        foreach ($away as $absence) {
            $calendar->event(
                "away-{$absence->id}", 'Away', $absence->starts_at, (int) $absence->starts_at->diffInMinutes($absence->ends_at),
                $absence->updated_at ?? $absence->starts_at,
            );
        }

        return $calendar->text();
    }

    private static function initials(string $name): string
    {
        $words = preg_split('/[\s-]+/u', $name, -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return implode(' ', array_map(fn (string $word) => mb_substr($word, 0, 1).'.', $words));
    }
}
