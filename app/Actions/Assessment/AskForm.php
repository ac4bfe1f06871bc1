<?php

declare(strict_types=1);

namespace App\Actions\Assessment;

use App\Facts\FormText;
use App\Facts\OwnForms;
use App\Models\AskedForm;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Puts a screening or a questionnaire to a patient. One of each is open at a time. */
final class AskForm
{
    /**
     * @param  string  $on  device or room
     *
     * @throws ValidationException
     */
    public function __invoke(Patient $patient, Practitioner $by, string $form, string $on): AskedForm
    {
        $own = OwnForms::of($patient->clinic_id)[$form] ?? null;
        $open = $patient->askedForms()->where('form', $form)->whereNull('completed_at')->whereNull('settled_at');
        // One that the clinic asks no more may still be answered to its end.
        $isKnown = $own !== null || FormText::isShipped($form) || $open->exists();
        if (! $isKnown || ! in_array($on, ['device', 'room'], true)) {
            throw ValidationException::withMessages(['form' => 'Choose one of the list.']);
        }
        if ($on === 'device' && ! $patient->devices()->whereNull('revoked_at')->exists()) {
            throw ValidationException::withMessages(['form' => 'The patient has no device yet. Make an access link first.']);
        }

        if ($form === AskedForm::SYMPTOMS && FormText::symptoms($patient) === []) {
            throw ValidationException::withMessages(['form' => 'There is no symptom to rate yet. Choose one first.']);
        }
        if ($form === AskedForm::SCREENING && trim($patient->clinic->crisis_number ?? '') === '') {
            throw ValidationException::withMessages(
                ['form' => 'The clinic has no crisis number yet. Its lead enters it under Clinic first.'],
            );
        }

        return DB::transaction(function () use ($patient, $by, $form, $own, $on, $open) {
            Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $begun = $open->first();
            if ($begun !== null) {
                // The same one, wherever it goes on: what is answered stays.
                $begun->update(['answered_on' => $on]);

                return $begun;
            }
            if ($own === null && ! FormText::isShipped($form)) {
                throw ValidationException::withMessages(['form' => 'Choose one of the list.']);
            }

            return $patient->askedForms()->create(
                ['form' => $form, 'asked' => $own?->write(), 'answered_on' => $on, 'practitioner_id' => $by->id, 'asked_at' => now()],
            );
        });
    }
}
