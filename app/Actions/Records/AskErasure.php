<?php

declare(strict_types=1);

namespace App\Actions\Records;

use App\Guard\ErasedList;
use App\Models\Erasure;
use App\Models\Patient;
use App\Models\Practitioner;

/** Writes down that a record is to go, and has it go as soon as that stands. */
final class AskErasure
{
    /** @param  string  $why  request or keeping */
    public function __invoke(Patient $patient, ?Practitioner $by, string $why): void
    {
        $erasure = Erasure::waiting()->where('patient_id', $patient->id)->first() ?? Erasure::query()->create([
            'clinic_id' => $patient->clinic_id, 'practitioner_id' => $by?->id, 'patient_id' => $patient->id,
            'outcome' => Erasure::ERASED, 'why' => $why, 'mark' => ErasedList::mark($patient->id), 'asked_at' => now(),
        ]);
        EraseRecord::dispatch($erasure->id)->afterCommit();
    }
}
