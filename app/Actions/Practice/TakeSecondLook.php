<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Models\Patient;
use App\Models\SecondLook;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Safety\PauseRules;

/**
 * A symptom that made someone stop has settled, or has not: then it is one for which help is needed, and every exercise is
 * paused from the stop on, for the symptom that did not settle. The practice stays as it was stored: none can be changed.
 */
final class TakeSecondLook
{
    /**
     * @return bool whether it was new
     *
     * @throws ValidationException when there is no such practice
     */
    public function __invoke(Patient $patient, string $uuid, bool $settled, CarbonImmutable $at): bool
    {
        return DB::transaction(function () use ($patient, $uuid, $settled, $at) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $practice = $patient->practices()->where('uuid', $uuid)->first()
                ?? throw ValidationException::withMessages(['uuid' => (string) __('patient.log.no-practice')]);
            if ($practice->stop_class?->isSymptom() !== true) {
                return false;
            }
            $look = SecondLook::query()->firstOrCreate(
                ['practice_id' => $practice->id], ['settled' => $settled, 'looked_at' => $at, 'received_at' => now()],
            );
            if ($settled || $patient->pauses()->where('rule', PauseRules::GET_HELP)->where('practice_id', $practice->id)->exists()) {
                return $look->wasRecentlyCreated;
            }
            $patient->pauses()->create(
                [
                    'lineage' => null, 'rule' => PauseRules::GET_HELP, 'practice_id' => $practice->id,
                    'from_at' => $practice->ended_at->min($at), 'cause' => 'had not settled at the second look',
                ],
            );

            return true;
        });
    }
}
