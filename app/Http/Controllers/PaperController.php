<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Practice\EnterFromPaper;
use App\Models\Patient;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use IvoryPace\Health\StopSymptom;

/** The ticks of a printed sheet, entered in one go. */
final class PaperController
{
    public function __invoke(Request $request, Patient $patient, EnterFromPaper $enter): RedirectResponse
    {
        $request->validate([
            'ticks' => ['required', 'array', 'max:200'], 'ticks.*.day' => ['required', 'string', 'max:10'],
            'ticks.*.lineage' => ['required', 'string', 'max:26'], 'ticks.*.done' => ['nullable', 'integer', 'between:0,12'],
            'ticks.*.stop' => ['nullable', Rule::enum(StopSymptom::class)],
        ], ['ticks.required' => 'Nothing was typed yet.', 'ticks.*.done' => 'Whole practices, like 2.',
            'ticks.*.stop' => 'Choose a symptom of the list.']);
        $ticks = [];
        foreach ($request->array('ticks') as $tick) {
            $done = is_array($tick) && is_numeric($tick['done'] ?? null) ? (int) $tick['done'] : 0;
            $stop = is_array($tick) && is_string($tick['stop'] ?? null) ? StopSymptom::tryFrom($tick['stop']) : null;
            if ($stop !== null && $done === 0) {
                throw ValidationException::withMessages(
                    ['ticks' => 'Type how many practices there were on the day of the stop, the stopped one among them.'],
                );
            }
            if (is_array($tick) && $done > 0) {
                $ticks[] = ['day' => (string) $tick['day'], 'lineage' => (string) $tick['lineage'], 'done' => $done, 'stop' => $stop];
            }
        }
        if ($ticks === []) {
            throw ValidationException::withMessages(['ticks' => 'Nothing was typed yet.']);
        }
        $before = $patient->pauses()->goingOn()->count();
        $entered = $enter($patient, $ticks);
        $isPaused = $patient->pauses()->goingOn()->count() > $before;

        $said = $entered === 1 ? 'One practice entered from paper.' : "$entered practices entered from paper.";

        return back(fallback: "/patients/{$patient->id}")->with(
            'flash', $said.($isPaused ? ' What was stopped is paused now; look at it above.' : ''),
        );
    }
}
