<?php

declare(strict_types=1);

namespace App\Actions\Clinic;

use App\Models\Clinic;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\Reliabilities;

/** By which spread and reliability a clinic judges changes in questionnaires for which none is shipped. */
final class KeepReliabilities
{
    /**
     * @param  array<array-key, mixed>  $typed  by questionnaire
     *
     * @throws ValidationException by field
     */
    public function __invoke(Clinic $clinic, array $typed): void
    {
        [$read, $errors] = Reliabilities::read($typed);
        if ($errors !== []) {
            $fields = array_map(fn (string $field) => "reliabilities.$field", array_keys($errors));
            throw ValidationException::withMessages(array_combine($fields, $errors));
        }
        $clinic->update(['reliabilities' => $read->write()]);
    }
}
