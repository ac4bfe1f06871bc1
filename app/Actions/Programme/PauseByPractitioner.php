<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Safety\Likeness;
use IvoryPace\Safety\PauseRules;

/** A practitioner pauses one exercise, or every one but recovery, from this moment; the patient reads why. */
final class PauseByPractitioner
{
    /**
     * @param  string|null  $lineage  null for every exercise
     *
     * @throws ValidationException
     */
    public function __invoke(Patient $patient, Practitioner $by, ?string $lineage, string $reason): Pause
    {
        return DB::transaction(function () use ($patient, $by, $lineage, $reason) {
            $patient = Patient::query()->lockForUpdate()->with('activeProgramme.versions.items')->findOrFail($patient->id);
            $row = $lineage === null ? null : $patient->activeProgramme?->latestVersion()?->items->firstWhere('lineage', $lineage);
            $problem = match (true) {
                $patient->activeProgramme === null => 'There is no programme to pause.',
                $lineage !== null && $row === null => 'This exercise is no longer prescribed.',
                $row?->item()->isRecovery() === true => 'Recovery from breathlessness is never paused: it may be needed at any moment.',
                $patient->pauses()->goingOn()->get()->contains(
                    fn (Pause $pause) => $pause->lineage === null || ($row !== null && $pause->concerns($row->lineage, $row->likeness())),
                ) => 'It is paused already.',
                default => null,
            };
            if ($problem !== null) {
                throw ValidationException::withMessages(['lineage' => $problem]);
            }

            return $patient->pauses()->create([
                'lineage' => $lineage, 'rule' => PauseRules::BY_PRACTITIONER, 'reason' => $reason, 'begun_by' => $by->id,
                'from_at' => now(),
                'likeness' => $row === null ? null : array_map(fn (Likeness $likeness) => $likeness->write(), $row->likeness()),
            ]);
        });
    }
}
