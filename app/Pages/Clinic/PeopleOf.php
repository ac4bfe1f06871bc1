<?php

declare(strict_types=1);

namespace App\Pages\Clinic;

use App\Models\Invitation;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Role;

/** The people of a clinic, and for its lead who is invited. */
final class PeopleOf
{
    private const MOST = 100;

    /**
     * @param  mixed  $newInvitation  an address that is shown once
     * @return array<string, mixed>
     */
    public static function clinic(Practitioner $who, mixed $newInvitation): array
    {
        $isLead = $who->role === Role::Lead;
        $zone = $who->clinic->time_zone;
        $people = Practitioner::query()->where('clinic_id', $who->clinic_id)
            // Who came with a record from elsewhere never worked here.
            ->where('email', 'not like', '%'.Practitioner::NOBODY)->orderByRaw('ended_at is not null')->orderBy('name')
            ->limit(self::MOST)->get();
        $patients = Patient::query()->where('clinic_id', $who->clinic_id)->groupBy('practitioner_id')
            ->selectRaw('practitioner_id, count(*) as many')->pluck('many', 'practitioner_id');

        return [
            'people' => array_values($people->map(fn (Practitioner $each) => [
                'id' => $each->id, 'name' => $each->name, 'profession' => $each->profession, 'registration' => $each->registration,
                'email' => $isLead ? $each->email : null,
                'role' => $each->role->value, 'role_label' => $each->role->label(), 'patients' => (int) ($patients[$each->id] ?? 0),
                'second_factor' => $each->hasSecondFactor(), 'is_you' => $each->is($who),
                'ended_on' => $each->ended_at?->setTimezone($zone)->format('j M Y'),
            ])->all()),
            'demands_second_factor' => $who->clinic->demands_second_factor,
            'invitations' => $isLead ? array_values(Invitation::open()->where('clinic_id', $who->clinic_id)->latest('made_at')
                ->limit(self::MOST)->get()->map(fn (Invitation $each) => [
                    'id' => $each->id, 'email' => $each->email, 'role_label' => $each->role->label(),
                    'expires_on' => $each->expires_at->setTimezone($zone)->format('j M'),
                ])->all()) : [],
            'new_invitation' => $isLead && is_string($newInvitation) ? $newInvitation : null,
        ];
    }
}
