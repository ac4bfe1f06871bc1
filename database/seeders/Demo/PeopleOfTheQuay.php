<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Actions\Account\EndPerson;
use App\Actions\Account\InvitePerson;
use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Support\Str;

/** Somebody who has left the quay, and somebody who is invited. */
final class PeopleOfTheQuay
{
    public static function seed(Practitioner $lead): void
    {
        $left = Practitioner::query()->create([
            'clinic_id' => $lead->clinic_id, 'name' => 'Corin Haldane', 'profession' => 'massage therapist',
            'email' => 'corin@harrowquay.example', 'role' => Role::Practitioner, 'password' => Str::random(40),
        ]);
        app(EndPerson::class)($left, $lead, null);
        app(InvitePerson::class)($lead, 'maren@harrowquay.example', Role::Practitioner);
    }
}
