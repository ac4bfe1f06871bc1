<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Device\PatientWorker;
use App\Guard\DeviceGuard;
use App\Language\PatientLanguage;
use App\Language\PatientTexts;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use PDOException;

/** The one page of the patient's side. */
final class ShellController
{
    public function __invoke(Request $request): View
    {
        // The page is kept on the device: it speaks the language of whoever the device belongs to.
        PatientLanguage::speak(self::localeOf($request) ?? PatientLanguage::wished($request));

        return view('patient', ['words' => PatientTexts::forPatients()]);
    }

    /** Without the database the page still comes: what it shows is kept on the device. */
    private static function localeOf(Request $request): ?string
    {
        try {
            return DeviceGuard::deviceOf($request)?->patient->locale;
        } catch (PDOException) {
            return null;
        }
    }

    /** From the root, so that it may serve /my. */
    public function worker(): Response
    {
        return response(PatientWorker::script(), 200, ['Content-Type' => 'text/javascript']);
    }
}
