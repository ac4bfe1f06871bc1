<?php

declare(strict_types=1);

namespace App\Actions\Correction;

use App\Models\Patient;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A patient who comes no more is archived, and can be brought back. Nothing of the record goes. */
final class Archive
{
    /** @throws ValidationException while something is still under way */
    public function __invoke(Patient $patient, string $reason): void
    {
        DB::transaction(function () use ($patient, $reason) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $inTheWay = match (true) {
                $patient->archived_at !== null => 'This patient is archived already.',
                $patient->activeProgramme()->exists() => 'A programme is running. Close it on the Course first, then archive.',
                $patient->careSessions()->whereNull('closed_at')->exists() => 'A session is open. Sign its note, or drop it, then archive.',
                $patient->openRedFlags()->exists() => 'A red flag is open. Record what was done about it first.',
                default => null,
            };
            if ($inTheWay !== null) {
                throw ValidationException::withMessages(['reason' => $inTheWay]);
            }
            $patient->update(['archived_at' => now(), 'archive_reason' => $reason]);
        });
    }

    public function bringBack(Patient $patient): void
    {
        $patient->update(['archived_at' => null, 'archive_reason' => null]);
    }
}
