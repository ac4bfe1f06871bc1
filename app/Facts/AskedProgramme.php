<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use App\Models\Programme;
use Illuminate\Http\Request;

/**
 * The programme that a page is asked for by its number: one of the patient's own; the running one, or the last that was closed, where none
 * is named.
 */
final class AskedProgramme
{
    public static function of(Request $request, Patient $patient): ?Programme
    {
        return $request->filled('programme') ? $patient->programmes()->whereHas('versions')
            ->whereKey($request->integer('programme'))->firstOrFail()
            : ($patient->activeProgramme ?? $patient->lastClosedProgramme);
    }
}
