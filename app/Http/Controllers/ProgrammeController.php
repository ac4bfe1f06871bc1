<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Programme\CloseProgramme;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use IvoryPace\Programme\Outcome;

final class ProgrammeController
{
    /** Closes the running programme with its outcome. */
    public function close(
        Request $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        CloseProgramme $close,
    ): RedirectResponse {
        $request->validate([
            'outcome' => ['required', Rule::enum(Outcome::class)], 'note' => ['nullable', 'string', 'max:2000'],
            'keep_up' => ['sometimes', 'boolean'],
        ], ['outcome.required' => 'Choose how it ended.', 'outcome' => 'Choose how it ended.', 'note.max' => 'At most 2000 characters.']);
        $close(
            $patient, $practitioner, Outcome::from($request->string('outcome')->value()),
            $request->filled('note') ? $request->string('note')->trim()->value() : null,
        );

        if ($request->boolean('keep_up')) {
            return redirect("/patients/{$patient->id}/bench?keep_up=1")->with(
                'flash', 'The programme is closed. This is what keeping it up could look like; nothing is issued yet.',
            );
        }

        return back(fallback: "/patients/{$patient->id}")->with('flash', 'The programme is closed. What was practised stays here.');
    }
}
