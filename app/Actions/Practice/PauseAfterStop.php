<?php

declare(strict_types=1);

namespace App\Actions\Practice;

use App\Facts\SameExercise;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practice;
use App\Models\ProgrammeItem;
use Carbon\CarbonImmutable;
use IvoryPace\Practice\Windows;
use IvoryPace\Safety\EndedPractice;
use IvoryPace\Safety\Likeness;
use IvoryPace\Safety\PauseDecision;
use IvoryPace\Safety\PauseRules;

/**
 * Lets the pausing rules act on a practice that was stopped, also on one that is heard of late: the pause begins when the
 * stop happened. Stops of the same exercise count together, on whichever line of whichever programme it stands.
 */
final class PauseAfterStop
{
    private const MOST = 300;

    public function __invoke(Patient $patient, Practice $practice, ProgrammeItem $row): void
    {
        if ($practice->stop_class?->isSymptom() !== true) {
            return;
        }
        $lineages = SameExercise::lineages($patient, $row);
        $decision = PauseRules::after(
            $this->ended($patient, $practice, $row, $lineages), (string) $practice->id, $row->item()->isRecovery(),
        );
        if ($decision !== null) {
            $this->pause($patient, $practice, $row, $decision);
        }
    }

    /**
     * @param  list<string>  $lineages
     * @return list<EndedPractice> by when they ended; without those that somebody has looked at
     */
    private function ended(Patient $patient, Practice $practice, ProgrammeItem $row, array $lineages): array
    {
        $lookedAt = $patient->pauses()->whereNotNull('until_at')->whereNotNull('ended_by')->orderByDesc('until_at')->limit(self::MOST)
            ->get()
            ->first(
                fn (Pause $pause) => PauseRules::settlesStops($pause->rule) && $pause->concerns($row->lineage, $row->likeness()),
            )?->until_at;
        $practices = Practice::query()->where('patient_id', $patient->id)->whereIn('lineage', $lineages)
            ->where('ended_at', '>=', $practice->ended_at->subDays(Windows::WAITS_AT_MOST_DAYS))
            ->orderByDesc('ended_at')->orderByDesc('id')->limit(self::MOST)->get(['id', 'ended_at', 'received_at', 'stop_class']);

        return array_values($practices->reverse()
            ->filter(fn (Practice $each) => $each->id === $practice->id || PauseRules::stillCounts($each->received_at, $lookedAt))
            ->map(
                fn (Practice $each) => new EndedPractice((string) $each->id, $each->ended_at, $each->received_at, $each->stop_class),
            )->all());
    }

    private function pause(Patient $patient, Practice $practice, ProgrammeItem $row, PauseDecision $decision): void
    {
        $goingOn = $patient->pauses()->goingOn()->whereIn('rule', [PauseRules::GET_HELP, PauseRules::TWICE_IN_THREE])->limit(self::MOST)
            ->get()
            ->first(
                fn (Pause $pause) => $decision->everyExercise
                    ? $pause->lineage === null
                    : $pause->concerns($row->lineage, $row->likeness()),
            );
        $from = CarbonImmutable::instance($decision->from);
        if ($goingOn !== null && $goingOn->from_at <= $from) {
            return;
        }
        $patient->pauses()->create([
            'lineage' => $decision->everyExercise ? null : $row->lineage, 'rule' => $decision->rule, 'practice_id' => $practice->id,
            'from_at' => $from,
            // It is paused already, only not for so long: the stretch before was looked at by nobody, and there is one pause to look at.
            'until_at' => $goingOn?->from_at,
            'likeness' => $decision->everyExercise ? null : array_map(fn (Likeness $likeness) => $likeness->write(), $row->likeness()),
        ]);
    }
}
