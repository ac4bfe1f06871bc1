<?php

declare(strict_types=1);

namespace App\Actions\Assessment;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practitioner;
use App\Models\ProgrammeItem;
use App\Models\RaisedRedFlag;
use App\Models\RedFlagAction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Safety\Likeness;
use IvoryPace\Safety\PauseRules;

/**
 * A practitioner records what was done about a red flag. Waiting keeps the pause; it ends when somebody says that practice
 * may go on: every exercise, or named ones, and then the others stay paused one by one.
 */
final class ActOnRedFlag
{
    /**
     * @param  list<string>|null  $lineages  of the exercises that may go on; null for all
     *
     * @throws ValidationException
     */
    public function __invoke(
        Patient $patient,
        RaisedRedFlag $flag,
        Practitioner $by,
        string $action,
        string $outcome,
        ?array $lineages = null,
    ): void {
        DB::transaction(function () use ($patient, $flag, $by, $action, $outcome, $lineages) {
            $patient = Patient::query()->lockForUpdate()->with('activeProgramme.versions.items')->findOrFail($patient->id);
            $rows = array_values($patient->activeProgramme?->latestVersion()?->items->all() ?? []);
            $prescribed = array_map(fn (ProgrammeItem $row) => $row->lineage, $rows);
            $named = $lineages === null ? $prescribed : array_values(array_intersect($lineages, $prescribed));
            if ($lineages !== null && $named === []) {
                throw ValidationException::withMessages(['lineages' => 'Choose at least one exercise that may go on, or all of them.']);
            }
            $flag->actions()->create(['practitioner_id' => $by->id, 'action' => $action, 'outcome' => $outcome, 'recorded_at' => now()]);
            if ($outcome !== RedFlagAction::MAY_GO_ON) {
                return;
            }
            foreach ($patient->pauses()->goingOn()->where('raised_red_flag_id', $flag->id)->get() as $pause) {
                $pause->update(['until_at' => now(), 'ended_by' => $by->id, 'looked_at' => $action]);
            }
            foreach ($rows as $row) {
                if (! in_array($row->lineage, $named, true) && ! $row->item()->isRecovery()) {
                    $this->keepPaused($patient, $flag, $row);
                }
            }
        });
    }

    private function keepPaused(Patient $patient, RaisedRedFlag $flag, ProgrammeItem $row): Pause
    {
        return $patient->pauses()->create([
            'lineage' => $row->lineage, 'rule' => PauseRules::RED_FLAG, 'raised_red_flag_id' => $flag->id, 'from_at' => now(),
            'cause' => "{$row->item()->name()}, after {$flag->flag->label()}",
            'likeness' => array_map(fn (Likeness $likeness) => $likeness->write(), $row->likeness()),
        ]);
    }
}
