<?php

declare(strict_types=1);

namespace App\Http\Controllers\Record;

use App\Actions\Correction\JoinRecords;
use App\Http\Requests\ReasonRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Record\JoinPage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** Two records of one person, side by side, and joined. */
final class JoinRecordsController
{
    public function show(Patient $patient): Response
    {
        return Inertia::render('JoinRecords', JoinPage::of($patient, now()->toImmutable()));
    }

    public function store(
        ReasonRequest $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        JoinRecords $join,
    ): RedirectResponse {
        $other = Patient::query()->where('clinic_id', $practitioner->clinic_id)->find($request->string('other')->value());
        $left = $join($patient, $other ?? $patient, $practitioner, $request->reason());
        // The line of this request stands in the record that is left.
        $request->route()?->setParameter('patient', $left);

        return redirect("/patients/{$left->id}/record")->with('flash', 'The two records are one. What was prescribed is looked at again.');
    }
}
