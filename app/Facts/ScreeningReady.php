<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Patient;
use Illuminate\Validation\ValidationException;

/** Thoughts of suicide are asked about: who is asked must be given a number to call, so the clinic enters it first. */
final class ScreeningReady
{
    /** @throws ValidationException where the clinic has none yet */
    public static function orRefuse(Patient $patient): void
    {
        if (trim($patient->clinic->crisis_number ?? '') === '') {
            throw ValidationException::withMessages(['answers' => 'The clinic has no crisis number yet. Its lead enters it under Clinic; '
                .'a screening asks about thoughts of suicide, and whoever says yes must have a number to call.']);
        }
    }
}
