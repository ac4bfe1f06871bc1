<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Actions\Clinic\KeepReliabilities;
use App\Actions\Clinic\KeepThresholds;
use App\Http\Requests\ClinicSettingsRequest;
use App\Http\Requests\Letters\LetterWordsRequest;
use App\Models\Practitioner;
use App\Models\Role;
use App\Pages\Clinic\AgreementOf;
use App\Pages\Clinic\BackupOf;
use App\Pages\Clinic\KeepingOf;
use App\Pages\Clinic\OutcomesOf;
use App\Pages\Clinic\PeopleOf;
use App\Pages\Clinic\QuestionnairesOf;
use App\Pages\Shared\TrailOf;
use App\Reports\QuarterReport;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\Quarter;
use IvoryPace\Exercise\School;

/** The people of a clinic; for its lead also the trail of who opened and changed what. */
final class ClinicController
{
    public function show(Request $request, #[CurrentUser] Practitioner $practitioner): Response
    {
        $isLead = $practitioner->role === Role::Lead;

        return Inertia::render('Clinic', [
            'clinic' => [
                'name' => $practitioner->clinic->name, 'time_zone' => $practitioner->clinic->time_zone,
                'emergency_wording' => $practitioner->clinic->emergency_wording, 'crisis_number' => $practitioner->clinic->crisis_number,
                'school' => $practitioner->clinic->school->value, 'telephone' => $practitioner->clinic->telephone,
                'calendar_initials' => $practitioner->clinic->calendar_initials,
                'minutes' => array_map(fn (AppointmentKind $kind) => [
                    'value' => $kind->value, 'label' => $kind->label(), 'minutes' => $practitioner->clinic->minutesOf($kind),
                ], AppointmentKind::cases()),
            ],
            'schools' => array_map(fn (School $school) => ['value' => $school->value, 'label' => $school->label()], School::cases()),
            ...PeopleOf::clinic($practitioner, $request->session()->get('new_invitation')),
            'roles' => array_map(fn (Role $role) => ['value' => $role->value, 'label' => $role->label()], Role::cases()),
            'thresholds' => $practitioner->clinic->thresholds()->lines(),
            'reliabilities' => $practitioner->clinic->reliabilities()->lines(),
            'questionnaires' => QuestionnairesOf::clinic($practitioner->clinic),
            'keeping' => $isLead ? KeepingOf::clinic($practitioner->clinic, CarbonImmutable::now()) : null,
            'letters' => $isLead ? [
                'head' => $practitioner->clinic->letter_head ?? '', 'foot' => $practitioner->clinic->letter_foot ?? '',
                'blocks' => $practitioner->clinic->letterBlocks(),
            ] : null,
            'outcomes' => OutcomesOf::clinic($practitioner->clinic, now()),
            'quarters' => array_map(
                fn (Quarter $quarter) => ['value' => $quarter->key(), 'label' => $quarter->label()],
                QuarterReport::offered($practitioner->clinic, CarbonImmutable::now()),
            ),
            'backup' => BackupOf::clinic($practitioner->clinic, CarbonImmutable::now()),
            'agreement' => AgreementOf::clinic($practitioner->clinic, now()),
            'is_lead' => $isLead,
            'trail' => $isLead ? TrailOf::clinic($practitioner->clinic) : null,
        ]);
    }

    /** What every patient reads in an emergency, and the school that a new programme begins with. */
    public function settings(ClinicSettingsRequest $request, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        $lead->clinic->update($request->settings());

        return back(fallback: '/clinic')->with('flash', 'Kept. Patients read the new wording from now on.');
    }

    public function letters(LetterWordsRequest $request, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        $lead->clinic->update($request->words());

        return back(fallback: '/clinic')->with('flash', 'Kept. Letters that are written from now on have it.');
    }

    public function reliabilities(Request $request, #[CurrentUser] Practitioner $lead, KeepReliabilities $keep): RedirectResponse
    {
        $keep($lead->clinic, $request->array('reliabilities'));

        return back(fallback: '/clinic')->with('flash', 'Kept. Changes in these questionnaires are judged by it from now on.');
    }

    public function thresholds(Request $request, #[CurrentUser] Practitioner $lead, KeepThresholds $keep): RedirectResponse
    {
        $keep($lead->clinic, $request->array('thresholds'));

        return back(fallback: '/clinic')->with('flash', 'Thresholds kept. Proposals follow them from now on.');
    }
}
