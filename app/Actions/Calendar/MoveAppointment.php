<?php

declare(strict_types=1);

namespace App\Actions\Calendar;

use App\Actions\Messages\TellPatient;
use App\Guard\Trail;
use App\Models\Appointment;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\Series;

/** Another time, person, kind or length; on wish also for those of the series that come later. */
final class MoveAppointment
{
    public function __construct(private readonly Trail $trail)
    {
    }

    /** @return non-empty-list<Appointment> all that were moved, the one that was meant first */
    public function __invoke(
        Appointment $appointment,
        CarbonImmutable $to,
        Practitioner $with,
        AppointmentKind $kind,
        int $minutes,
        bool $withLater,
    ): array {
        return DB::transaction(function () use ($appointment, $to, $with, $kind, $minutes, $withLater) {
            $from = $appointment->starts_at;
            $to = $to->setTimezone($with->clinic->time_zone);
            $all = [$appointment, ...($withLater ? self::later($appointment) : [])];
            $before = [$from, $appointment->practitioner_id];
            foreach ($all as $each) {
                $each->fill([
                    'starts_at' => CarbonImmutable::instance(Series::follow($each->starts_at, $from, $to))->utc(),
                    'practitioner_id' => $with->id, 'kind' => $kind, 'minutes' => $minutes,
                ]);
                if ($each->is($appointment)) {
                    $this->trail->changing($each);
                }
                if ($each->isDirty()) {
                    $each->fill(['revision' => $each->revision + 1])->save();
                    $each->setRelation('practitioner', $with);
                }
            }

            $what = match (true) {
                ! $appointment->starts_at->equalTo($before[0]) => 'moved',
                $appointment->practitioner_id !== $before[1] => 'another',
                // Its length and kind concern the clinic alone.
                default => null,
            };
            if ($what !== null) {
                TellPatient::ofAppointments($what, $all);
            }

            return $all;
        });
    }

    /** @return list<Appointment> of the same series, after this one */
    public static function later(Appointment $appointment): array
    {
        return $appointment->series === null ? [] : array_values(
            Appointment::ahead()->where('series', $appointment->series)->where('patient_id', $appointment->patient_id)
                ->where('starts_at', '>', $appointment->starts_at)->orderBy('starts_at')->limit(Series::MOST_TIMES)->get()->all(),
        );
    }
}
