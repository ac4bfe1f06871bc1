<?php

declare(strict_types=1);

namespace App\Facts\Calendar;

use App\Models\Appointment;
use App\Models\Clinic;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Who comes today, by time. */
final class AppointmentsOf
{
    /** So far back a calendar outside still shows what was. */
    public const DAYS_BACK = 30;

    private const MOST = 200;

    private const MOST_IN_CALENDAR = 1000;

    /**
     * @return array{now: int, all: list<array{patient: string, name: string, at: string, minute: int, practitioner: int, with: string}>}
     * minutes of the clinic's day
     */
    public static function today(Clinic $clinic, CarbonImmutable $now): array
    {
        $here = $now->setTimezone($clinic->time_zone);
        $rows = DB::table('appointments')->join('patients', 'patients.id', '=', 'appointments.patient_id')
            ->join('practitioners', 'practitioners.id', '=', 'appointments.practitioner_id')
            ->where('practitioners.clinic_id', $clinic->id)->whereNull('cancelled_at')
            ->whereBetween('starts_at', [$here->startOfDay()->utc(), $here->endOfDay()->utc()])->orderBy('starts_at')
            ->orderBy('appointments.id')->limit(self::MOST)
            ->get(
                [
                    'appointments.patient_id', 'patients.name', 'starts_at', 'appointments.practitioner_id',
                    'practitioners.name as with_name',
                ],
            );

        return ['now' => $here->hour * 60 + $here->minute, 'all' => array_values($rows->map(function (stdClass $row) use ($clinic) {
            $at = CarbonImmutable::parse((string) $row->starts_at, 'UTC')->setTimezone($clinic->time_zone);

            return [
                'patient' => (string) $row->patient_id, 'name' => (string) $row->name, 'at' => $at->format('H:i'),
                'minute' => $at->hour * 60 + $at->minute, 'practitioner' => (int) $row->practitioner_id, 'with' => (string) $row->with_name,
            ];
        })->all())];
    }

    /**
     * The patient's next one, in the clinic's time; starts_at in UTC, and how many come after it.
     *
     * @return array{id: int, day: string, time: string, words: string, starts_at: string, with: string, more: int}|null
     */
    public static function next(Patient $patient, CarbonImmutable $now): ?array
    {
        $ahead = DB::table('appointments')->join('practitioners', 'practitioners.id', '=', 'appointments.practitioner_id')
            ->where('patient_id', $patient->id)->whereNull('cancelled_at')->where('starts_at', '>', $now)->orderBy('starts_at')
            ->limit(Appointment::MOST_AHEAD)->get(['appointments.id', 'starts_at', 'practitioners.name']);
        $next = $ahead->first();
        if ($next === null) {
            return null;
        }
        $at = CarbonImmutable::parse((string) $next->starts_at, 'UTC')->setTimezone($patient->clinic->time_zone);

        return [
            'id' => (int) $next->id, 'day' => $at->format('Y-m-d'), 'time' => $at->format('H:i'),
            'words' => $at->format('D j M, H:i')." with {$next->name}", 'starts_at' => (string) $next->starts_at,
            'with' => (string) $next->name, 'more' => $ahead->count() - 1,
        ];
    }

    /** @return Collection<int, Appointment> by time, for a calendar outside */
    public static function ofPatient(Patient $patient, CarbonImmutable $now): Collection
    {
        return self::forCalendar($now)->with('practitioner')->where('patient_id', $patient->id)->get();
    }

    /** @return Collection<int, Appointment> by time, for a calendar outside */
    public static function ofPractitioner(Practitioner $who, CarbonImmutable $now): Collection
    {
        return self::forCalendar($now)->with('patient')->where('practitioner_id', $who->id)->get();
    }

    /** @return Builder<Appointment> */
    private static function forCalendar(CarbonImmutable $now): Builder
    {
        return Appointment::query()->whereNull('cancelled_at')->where('starts_at', '>', $now->subDays(self::DAYS_BACK))
            ->orderBy('starts_at')->orderBy('id')->limit(self::MOST_IN_CALENDAR);
    }
}
