<?php

declare(strict_types=1);

namespace App\Actions\Session;

use App\Models\CareSession;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;

/** Begins a session, or goes on with the one that is open: a patient has one at a time. */
final class BeginSession
{
    public function __invoke(Patient $patient, Practitioner $by): CareSession
    {
        return DB::transaction(function () use ($patient, $by) {
            Patient::query()->lockForUpdate()->findOrFail($patient->id);

            return $patient->careSessions()->whereNull('closed_at')->first() ?? $patient->careSessions()->create([
                'practitioner_id' => $by->id, 'number' => 1 + (int) $patient->everySession()->max('number'), 'begun_at' => now(),
            ]);
        });
    }
}
