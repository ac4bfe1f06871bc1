<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Device\PatientSheet;
use App\Facts\AskedProgramme;
use App\Models\Patient;
use App\Paper\Paper;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class SheetController
{
    public function __invoke(Request $request, Patient $patient, int $number): Response
    {
        $version = AskedProgramme::of($request, $patient)?->versions()->with('items')->firstWhere('number', $number);
        abort_if($version === null, 404);

        return response(PatientSheet::pdf($version, $patient, Paper::asked($request->query('paper'))), 200, [
            'Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"sheet-$number.pdf\"",
        ]);
    }
}
