<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Models\Appointment;
use App\Models\Handover;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Somebody no longer works here: signs in nowhere from now on. Nothing is deleted, and no patient is left without anyone. */
final class EndPerson
{
    private const REASON = 'No longer works here.';

    /**
     * @param  int|null  $to  who is responsible for this person's patients from now on
     * @return int how many patients were given
     *
     * @throws ValidationException
     */
    public function __invoke(Practitioner $person, Practitioner $lead, ?int $to): int
    {
        return DB::transaction(function () use ($person, $lead, $to) {
            $all = Practitioner::query()->lockForUpdate()->where('clinic_id', $lead->clinic_id)->whereNull('ended_at')->get();
            $person = $all->find($person->id);
            $otherLeads = $all->where('role', Role::Lead)->reject(fn (Practitioner $each) => $each->is($person));
            $problem = match (true) {
                $person === null => 'This person does not work here any more.',
                $person->is($lead) => 'Somebody else has to end your account.',
                $otherLeads->isEmpty() => 'A clinic needs a lead.',
                default => null,
            };
            if ($person === null || $problem !== null) {
                throw ValidationException::withMessages(['person' => (string) $problem]);
            }
            $patients = Patient::query()->where('practitioner_id', $person->id)->lockForUpdate()->pluck('id');
            $colleague = $to === null || $to === $person->id ? null : $all->find($to);
            if ($patients->isNotEmpty() && $colleague === null) {
                throw ValidationException::withMessages(['to' => "Choose who takes over {$patients->count()} patients."]);
            }
            foreach ($patients->chunk(200) as $some) {
                foreach ($some as $id) {
                    Handover::query()->create([
                        'patient_id' => $id, 'kind' => 'move', 'to_id' => $colleague?->id, 'by_id' => $lead->id, 'reason' => self::REASON,
                        'at' => now(),
                    ]);
                }
                Patient::query()->whereIn('id', $some)->update(['practitioner_id' => $colleague?->id]);
            }
            self::giveAppointments($person, $colleague);
            $person->update(['ended_at' => now(), 'remember_token' => null]);
            Sessions::end($person);

            return $patients->count();
        });
    }

    /**
     * Nobody comes to somebody who is not there: an appointment goes to whoever is responsible for the patient.
     */
    private static function giveAppointments(Practitioner $person, ?Practitioner $colleague): void
    {
        $ahead = Appointment::ahead()->where('practitioner_id', $person->id)->with('patient')->lockForUpdate()->get();
        foreach ($ahead as $appointment) {
            $responsible = $appointment->patient->practitioner_id;
            $appointment->update([
                'practitioner_id' => $responsible === $person->id ? $colleague?->id : $responsible,
                'revision' => $appointment->revision + 1,
            ]);
        }
    }
}
