<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Actions\Records\AskErasure;
use App\Http\Requests\Account\YourPasswordRequest;
use App\Models\Erasure;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Clinic\KeepingOf;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use IvoryPace\Calendar\Keeping;

/** How long records are kept, and what has been kept long enough. */
final class KeepingController
{
    public function update(Request $request, #[CurrentUser] Practitioner $lead): RedirectResponse
    {
        $years = 'Whole years, '.Keeping::LEAST.' to '.Keeping::MOST.'.';
        $age = 'Whole years of age, '.Keeping::ADULT.' to '.Keeping::MOST.'.';
        $read = $request->validate([
            'keep_years' => ['nullable', 'required_with:keep_minors_until', 'integer', 'between:'.Keeping::LEAST.','.Keeping::MOST],
            'keep_minors_until' => ['nullable', 'required_with:keep_years', 'integer', 'between:'.Keeping::ADULT.','.Keeping::MOST],
        ], ['keep_years' => $years, 'keep_years.*' => $years, 'keep_minors_until' => $age, 'keep_minors_until.*' => $age]);
        $lead->clinic->update([
            'keep_years' => isset($read['keep_years']) ? (int) $read['keep_years'] : null,
            'keep_minors_until' => isset($read['keep_minors_until']) ? (int) $read['keep_minors_until'] : null,
        ]);

        return back(fallback: '/clinic')->with('flash', 'Kept. Nothing is erased by itself.');
    }

    public function erase(YourPasswordRequest $request, #[CurrentUser] Practitioner $lead, AskErasure $ask): RedirectResponse
    {
        $chosen = array_filter($request->array('patients'), is_string(...));
        $due = array_column(KeepingOf::due($lead->clinic, CarbonImmutable::now()), 'id');
        $erased = array_values(array_intersect($due, $chosen));
        if ($erased === [] || count($erased) < count(array_unique($chosen))) {
            throw ValidationException::withMessages([
                'patients' => $chosen === [] ? 'Tick the records that are to go.'
                    : 'One of these may not go yet: it was brought back, or has to be kept longer. Look at the list again.',
            ]);
        }
        foreach (Patient::query()->whereKey($erased)->get() as $patient) {
            $ask($patient, $lead, Erasure::KEEPING);
        }
        $count = count($erased);

        return back(fallback: '/clinic')->with('flash', ($count === 1 ? 'One record is' : "$count records are").' being erased.');
    }
}
