<?php

declare(strict_types=1);

namespace App\Actions\Calendar;

use App\Actions\Messages\TellPatient;
use App\Guard\Trail;
use App\Models\Appointment;
use Illuminate\Support\Facades\DB;

/** It does not take place; on wish those of the series that come later do not either. */
final class CancelAppointment
{
    public function __construct(private readonly Trail $trail)
    {
    }

    /** @return int how many were cancelled */
    public function __invoke(Appointment $appointment, bool $withLater): int
    {
        return DB::transaction(function () use ($appointment, $withLater) {
            $all = [$appointment, ...($withLater ? MoveAppointment::later($appointment) : [])];
            foreach ($all as $each) {
                $each->update(['cancelled_at' => now(), 'revision' => $each->revision + 1]);
            }
            TellPatient::ofAppointments('cancelled', $all);
            $this->trail->changed('cancelled', $appointment->starts_at, count($all));

            return count($all);
        });
    }
}
