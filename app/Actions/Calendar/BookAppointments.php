<?php

declare(strict_types=1);

namespace App\Actions\Calendar;

use App\Actions\Messages\TellPatient;
use App\Models\Appointment;
use App\Models\Patient;
use App\Models\Practitioner;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use IvoryPace\Calendar\AppointmentKind;

/** One appointment, or those of a series. */
final class BookAppointments
{
    /**
     * @param  non-empty-list<CarbonImmutable>  $starts
     * @return non-empty-list<Appointment>
     */
    public function __invoke(Patient $patient, Practitioner $with, array $starts, AppointmentKind $kind, int $minutes): array
    {
        $series = count($starts) > 1 ? strtolower((string) Str::ulid()) : null;

        $made = DB::transaction(fn () => array_map(fn (CarbonImmutable $at) => Appointment::query()->create([
            'patient_id' => $patient->id, 'practitioner_id' => $with->id, 'starts_at' => $at, 'minutes' => $minutes, 'kind' => $kind,
            'series' => $series,
        ])->setRelation('patient', $patient)->setRelation('practitioner', $with), $starts));
        TellPatient::ofAppointments('made', $made);

        return $made;
    }
}
