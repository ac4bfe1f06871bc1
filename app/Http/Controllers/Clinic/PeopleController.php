<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Actions\Account\EndPerson;
use App\Actions\Account\InvitePerson;
use App\Actions\Account\SecondFactor;
use App\Actions\Clinic\GiveRole;
use App\Http\Requests\Account\EndPersonRequest;
use App\Http\Requests\Account\InvitationRequest;
use App\Http\Requests\Account\YourPasswordRequest;
use App\Models\Invitation;
use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The people of a clinic, for its lead: who is invited, what they may do, and when they no longer work here. */
final class PeopleController
{
    public function invite(InvitationRequest $request, #[CurrentUser] Practitioner $lead, InvitePerson $invite): RedirectResponse
    {
        $email = $request->string('email')->trim()->value();
        $address = $invite($lead, $email, $request->role());

        return back(fallback: '/clinic')->with('flash', "Invited. A message is on its way to $email.")->with('new_invitation', $address);
    }

    public function withdraw(int $invitation, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        Invitation::open()->where('clinic_id', $lead->clinic_id)->findOrFail($invitation)->update(['withdrawn_at' => now()]);

        return back(fallback: '/clinic')->with('flash', 'Withdrawn. The address opens nothing any more.');
    }

    public function role(Request $request, Practitioner $practitioner, #[CurrentUser] Practitioner $lead, GiveRole $give): RedirectResponse
    {
        self::ensureOneOfUs($practitioner, $lead);
        $request->validate(['role' => ['required', Rule::enum(Role::class)]], ['role.required' => 'Choose a role.']);
        $role = Role::from($request->string('role')->value());
        $give($practitioner, $role);

        return back(fallback: '/clinic')->with('flash', "{$practitioner->name} is {$role->label()} now.");
    }

    public function end(
        EndPersonRequest $request,
        Practitioner $practitioner,
        #[CurrentUser] Practitioner $lead,
        EndPerson $end,
    ): RedirectResponse {
        self::ensureOneOfUs($practitioner, $lead);
        $given = $end($practitioner, $lead, $request->to());

        return back(fallback: '/clinic')->with(
            'flash', "{$practitioner->name} is signed out for good.".($given === 0 ? '' : " Patients who have someone else now: $given."),
        );
    }

    /** The phone and the recovery codes are both lost. */
    public function removeSecondFactor(
        YourPasswordRequest $request,
        Practitioner $practitioner,
        #[CurrentUser] Practitioner $lead,
        SecondFactor $factor,
    ): RedirectResponse {
        self::ensureOneOfUs($practitioner, $lead);
        $factor->remove($practitioner);

        return back(fallback: '/clinic')->with('flash', "{$practitioner->name} signs in without a code until a new one is set up.");
    }

    public function demandSecondFactor(Request $request, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        $lead->clinic->update(['demands_second_factor' => $request->boolean('demanded')]);

        return back(fallback: '/clinic')->with('flash', $request->boolean('demanded')
            ? 'Everybody here is asked to set up a second factor.' : 'A second factor is everybody’s own choice.');
    }

    private static function ensureOneOfUs(Practitioner $practitioner, Practitioner $lead): void
    {
        abort_unless($practitioner->clinic_id === $lead->clinic_id && $practitioner->ended_at === null, 404);
    }
}
