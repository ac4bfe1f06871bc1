<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Programme;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Programme\Outcome;

/** Closes a patient's programme with an outcome. What was practised stays; a new programme can follow. */
final class CloseProgramme
{
    /** @throws ValidationException */
    public function __invoke(Patient $patient, Practitioner $by, Outcome $outcome, ?string $note): Programme
    {
        return DB::transaction(function () use ($patient, $by, $outcome, $note) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $programme = $patient->activeProgramme()->with('versions.items')->first();
            if ($programme === null) {
                throw ValidationException::withMessages(['outcome' => 'There is no running programme; it may have been closed meanwhile.']);
            }
            $today = $patient->dayOf(CarbonImmutable::now());
            $first = $programme->history()->firstDay();
            $programme->update([
                'closed_on' => ($first->isAfter($today) ? $first : $today)->date, 'outcome' => $outcome, 'outcome_note' => $note,
                'closed_by' => $by->id,
            ]);

            return $programme;
        });
    }
}
