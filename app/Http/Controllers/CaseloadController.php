<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\Calendar\AppointmentsOf;
use App\Http\Requests\CaseloadRequest;
use App\Models\Practitioner;
use App\Pages\Caseload\CaseloadPage;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Practice\Windows;
use IvoryPace\Progress\CaseloadReason;

final class CaseloadController
{
    public function __invoke(Request $request, #[CurrentUser] Practitioner $practitioner): Response
    {
        $asked = new CaseloadRequest($request, $practitioner);
        $page = CaseloadPage::of($practitioner->clinic, $asked->filter(), now());

        return Inertia::render('Caseload', [
            'lines' => Inertia::merge(fn () => $page->lines($asked->page)),
            'counts' => fn () => $page->counts(),
            'names_that_meet' => fn () => $page->namesThatMeet(),
            'filter' => $asked->typed,
            'appointments' => fn () => AppointmentsOf::today($practitioner->clinic, now()), 'me' => $practitioner->id,
            'urgent' => CaseloadReason::urgent(), 'tally_days' => Windows::TALLY_DAYS, 'page_size' => CaseloadPage::LINES,
        ]);
    }
}
