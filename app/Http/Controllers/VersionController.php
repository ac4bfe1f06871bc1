<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Correction\WithdrawVersion;
use App\Actions\Programme\IssueFromBench;
use App\Facts\AskedProgramme;
use App\Http\Requests\VersionRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Course\VersionSheet;
use App\Pages\Shared\PatientHead;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class VersionController
{
    /**
     * Answers in JSON, problems too: they must not travel through the session, where a key press answered at the same
     * moment would take them away.
     */
    public function store(
        VersionRequest $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        IssueFromBench $issue,
    ): JsonResponse {
        $version = $issue($patient, $practitioner, $request->order());
        $hasAccess = $patient->devices()->whereNull('revoked_at')->exists();

        $request->session()->flash('flash', "Version {$version->number} issued; in force from {$version->in_force_from->format('j M')}.");

        $session = $patient->careSessions()->whereNull('closed_at')->whereKey($request->string('session')->value())->first();

        return response()->json(
            [
                'go_to' => $session !== null
                    ? "/patients/{$patient->id}/sessions/{$session->id}/hand-over"
                    : ($hasAccess ? "/patients/{$patient->id}" : "/patients/{$patient->id}/access"),
            ],
            201,
        );
    }

    public function show(Request $request, Patient $patient, int $number): Response
    {
        $programme = AskedProgramme::of($request, $patient);
        $version = $programme?->everyVersion()
            ->with(['items', 'practitioner', 'findingReasons.practitioner', 'programme', 'withdrawer'])->firstWhere('number', $number);
        abort_if($version === null, 404);

        return Inertia::render('Version', [
            'patient' => PatientHead::of($patient, now()),
            'version' => [
                ...VersionSheet::of($version, $patient),
                'can_be_withdrawn' => WithdrawVersion::obstacle($patient, $version, now()) === null,
                'query' => $programme->closed_on === null ? '' : "?programme={$programme->id}",
            ],
        ]);
    }
}
