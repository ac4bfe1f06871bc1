<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Device\PatientWorker;
use App\Language\PatientTexts;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Response;

/** The one page of the patient's side. */
final class ShellController
{
    public function __invoke(): View
    {
        return view('patient', ['words' => PatientTexts::forPatients()]);
    }

    /** From the root, so that it may serve /my. */
    public function worker(): Response
    {
        return response(PatientWorker::script(), 200, ['Content-Type' => 'text/javascript']);
    }
}
