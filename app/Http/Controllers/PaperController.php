<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\EnterFromPaper;
use App\Models\Patient;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The ticks of a printed sheet, entered in one go. */
final class PaperController
{
    public function __invoke(Request $request, Patient $patient, EnterFromPaper $enter): RedirectResponse
    {
        $request->validate([
            'ticks' => ['required', 'array', 'max:200'], 'ticks.*.day' => ['required', 'string', 'max:10'], 'ticks.*.lineage' => ['required', 'string', 'max:26'], 'ticks.*.done' => ['required', 'integer', 'between:0,12'],
        ], ['ticks.required' => 'Nothing was typed yet.', 'ticks.*.done' => 'Whole practices, like 2.']);
        $ticks = [];
        foreach ($request->array('ticks') as $tick) {
            if (is_array($tick) && (int) $tick['done'] > 0) {
                $ticks[] = ['day' => (string) $tick['day'], 'lineage' => (string) $tick['lineage'], 'done' => (int) $tick['done']];
            }
        }
        if ($ticks === []) {
            throw ValidationException::withMessages(['ticks' => 'Nothing was typed yet.']);
        }
        $entered = $enter($patient, $ticks);

        return back(fallback: "/patients/{$patient->id}")->with('flash', $entered === 1 ? 'One practice entered from paper.' : "$entered practices entered from paper.");
    }
}
