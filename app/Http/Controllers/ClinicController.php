<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Practitioner;
use App\Models\Role;
use App\Pages\Clinic\AgreementOf;
use App\Pages\Clinic\OutcomesOf;
use App\Pages\Shared\TrailOf;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Exercise\School;
use IvoryPace\Progress\Proposal\Thresholds;

/** The people of a clinic; for its lead also the trail of who opened and changed what. */
final class ClinicController
{
    private const MOST_PEOPLE = 100;

    public function show(#[CurrentUser] Practitioner $practitioner): Response
    {
        $isLead = $practitioner->role === Role::Lead;

        return Inertia::render('Clinic', [
            'clinic' => ['name' => $practitioner->clinic->name, 'time_zone' => $practitioner->clinic->time_zone, 'emergency_wording' => $practitioner->clinic->emergency_wording, 'crisis_number' => $practitioner->clinic->crisis_number, 'school' => $practitioner->clinic->school->value],
            'schools' => array_map(fn (School $school) => ['value' => $school->value, 'label' => $school->label()], School::cases()),
            'people' => Practitioner::query()->where('clinic_id', $practitioner->clinic_id)->orderBy('name')->limit(self::MOST_PEOPLE)->get()->map(fn (Practitioner $each) => [
                'id' => $each->id, 'name' => $each->name, 'profession' => $each->profession, 'role' => $each->role->value, 'role_label' => $each->role->label(),
            ]),
            'roles' => array_map(fn (Role $role) => ['value' => $role->value, 'label' => $role->label()], Role::cases()),
            'thresholds' => $practitioner->clinic->thresholds()->lines(),
            'outcomes' => OutcomesOf::clinic($practitioner->clinic, now()),
            'agreement' => AgreementOf::clinic($practitioner->clinic, now()),
            'is_lead' => $isLead,
            'trail' => $isLead ? TrailOf::clinic($practitioner->clinic) : null,
        ]);
    }

    /** What every patient reads in an emergency, and the school that a new programme begins with. */
    public function settings(Request $request, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        $request->validate(['emergency_wording' => ['required', 'string', 'min:20', 'max:300'], 'crisis_number' => ['required', 'string', 'min:3', 'max:120', 'regex:/\d{3}/'], 'school' => ['required', Rule::enum(School::class)]], [
            'emergency_wording.required' => 'Patients need to read what to do in an emergency.', 'emergency_wording.min' => 'Say whom to call and when, in a sentence.',
            'emergency_wording.max' => 'At most 300 characters: it is read in a hurry.', 'school' => 'Choose one of the list.',
            'crisis_number.required' => 'Enter whom a patient with thoughts of suicide can call; nobody is screened without it.', 'crisis_number.regex' => 'Write the number, and whose it is.', 'crisis_number.min' => 'Write the number, and whose it is.', 'crisis_number.max' => 'At most 120 characters.',
        ]);
        $lead->clinic->update(['emergency_wording' => $request->string('emergency_wording')->trim()->value(), 'crisis_number' => $request->string('crisis_number')->trim()->value(), 'school' => $request->string('school')->value()]);

        return back(fallback: '/clinic')->with('flash', 'Kept. Patients read the new wording from now on.');
    }

    /** From which numbers on something is proposed; empty fields are as shipped. */
    public function thresholds(Request $request, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        $typed = array_filter($request->array('thresholds'), fn (mixed $value) => is_scalar($value) && trim((string) $value) !== '');
        [$read, $errors] = Thresholds::read($typed);
        if ($read === null) {
            throw ValidationException::withMessages(array_combine(array_map(fn (string $field) => $field === '' ? 'thresholds' : "thresholds.$field", array_keys($errors)), array_values($errors)));
        }
        $lead->clinic->update(['thresholds' => array_intersect_key($typed, array_fill_keys(array_column($read->lines(), 'name'), true))]);

        return back(fallback: '/clinic')->with('flash', 'Thresholds kept. Proposals follow them from now on.');
    }

    /** Gives a role. A clinic always keeps a lead. */
    public function update(Request $request, Practitioner $practitioner, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        abort_unless($practitioner->clinic_id === $lead->clinic_id, 404);
        $request->validate(['role' => ['required', Rule::enum(Role::class)]], ['role.required' => 'Choose a role.']);
        $role = Role::from($request->string('role')->value());
        $others = Practitioner::query()->where('clinic_id', $lead->clinic_id)->where('role', Role::Lead)->whereKeyNot($practitioner->id)->exists();
        if ($role !== Role::Lead && ! $others) {
            throw ValidationException::withMessages(['role' => 'A clinic needs a lead. Make someone else the lead first.']);
        }
        $practitioner->update(['role' => $role]);

        return back(fallback: '/clinic')->with('flash', "{$practitioner->name} is {$role->label()} now.");
    }
}
