<?php

declare(strict_types=1);

namespace App\Actions\Assessment;

use App\Models\ChosenSymptom;
use App\Models\Patient;
use Illuminate\Support\Facades\DB;

/** The symptoms that a patient rates from now on. One that is dropped keeps what was rated, and can be taken up again. */
final class ChooseSymptoms
{
    /** @param  list<string>  $names */
    public function __invoke(Patient $patient, array $names): void
    {
        DB::transaction(function () use ($patient, $names) {
            $patient->symptoms()->whereNotIn('name', $names)->update(['dropped_at' => now()]);
            foreach ($names as $name) {
                ChosenSymptom::query()->updateOrCreate(['patient_id' => $patient->id, 'name' => $name], ['dropped_at' => null]);
            }
        });
    }
}
