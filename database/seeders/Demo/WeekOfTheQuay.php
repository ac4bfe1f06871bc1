<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Calendar\BookAppointments;
use App\Models\Absence;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use DateTimeImmutable;
use DateTimeZone;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\ClockTime;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Calendar\Series;

/** Who came this week and who will, and who is away. */
final class WeekOfTheQuay
{
    public static function seed(Practitioner $nora, Practitioner $idris, Practitioner $tamsin): void
    {
        self::comes('step-up-with-recovery', $nora, -2, '09:00');
        self::comes('step-back', $nora, -1, '09:30');
        self::comes('step-up-of-a-colleague', $idris, -1, '11:00', AppointmentKind::Remote);
        self::comes('step-up-of-a-colleague', $idris, 1, '15:00', AppointmentKind::Remote, 6);
        self::comes('not-screened', $nora, 1, '10:30', AppointmentKind::First);
        self::comes('worse', $idris, 2, '10:00');
        self::comes('step-back', $nora, 2, '09:15', AppointmentKind::Review, 3);
        self::comes('finish', $tamsin, 3, '14:00');
        self::comes('kept-up', $tamsin, 3, '14:30');
        $zone = $nora->clinic->time_zone;
        $day = CarbonImmutable::now($zone)->startOfDay();
        self::away($idris, $day->addDays(2)->setTime(13, 30), $day->addDays(2)->setTime(16, 0), 'teaching');
        self::away($tamsin, $day->addDays(1), $day->addDays(2), null);
    }

    private static function comes(
        string $promise,
        Practitioner $with,
        int $inDays,
        string $time,
        AppointmentKind $kind = AppointmentKind::Review,
        int $times = 1,
    ): void {
        $zone = $with->clinic->time_zone;
        $day = PatientDay::of(CarbonImmutable::now($zone)->addDays($inDays)->format('Y-m-d'));
        $starts = array_map(
            fn (DateTimeImmutable $at) => CarbonImmutable::instance($at)->utc(),
            Series::of($day, ClockTime::parse($time), 2, $times)->starts(new DateTimeZone($zone)),
        );
        $patient = Patient::query()->where('clinic_id', $with->clinic_id)->where('name', Promises::patient($promise))->sole();
        app(BookAppointments::class)($patient, $with, $starts, $kind, $kind->usualMinutes());
    }

    private static function away(Practitioner $who, CarbonImmutable $from, CarbonImmutable $to, ?string $reason): void
    {
        Absence::query()->create([
            'practitioner_id' => $who->id, 'starts_at' => $from->utc(), 'ends_at' => $to->utc(), 'reason' => $reason,
        ]);
    }
}
