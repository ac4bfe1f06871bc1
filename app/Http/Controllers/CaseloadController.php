<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\AppointmentsOf;
use App\Facts\Caseload\CaseloadLines;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Practice\Windows;
use IvoryPace\Progress\CaseloadReason;

final class CaseloadController
{
    public function __invoke(#[CurrentUser] Practitioner $practitioner): Response
    {
        return Inertia::render('Caseload', [
            // As objects: Inertia searches arrays through and through for closures, and these are finished.
            'lines' => array_map(fn (array $line) => (object) $line, CaseloadLines::of($practitioner->clinic, now())),
            'appointments' => AppointmentsOf::today($practitioner->clinic, now()), 'me' => $practitioner->id,
            'urgent' => CaseloadReason::urgent(), 'tally_days' => Windows::TALLY_DAYS,
        ]);
    }
}
