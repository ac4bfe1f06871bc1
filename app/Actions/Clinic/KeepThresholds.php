<?php

declare(strict_types=1);

namespace App\Actions\Clinic;

use App\Models\Clinic;
use Illuminate\Validation\ValidationException;
use IvoryPace\Progress\Proposal\Thresholds;

/** From which numbers on something is proposed in a clinic; what is left empty is as shipped. */
final class KeepThresholds
{
    /**
     * @param  array<array-key, mixed>  $typed  by name
     *
     * @throws ValidationException by field
     */
    public function __invoke(Clinic $clinic, array $typed): void
    {
        $typed = array_filter($typed, fn (mixed $value) => is_scalar($value) && trim((string) $value) !== '');
        [$read, $errors] = Thresholds::read($typed);
        if ($read === null) {
            $fields = array_map(fn (string $field) => $field === '' ? 'thresholds' : "thresholds.$field", array_keys($errors));
            throw ValidationException::withMessages(array_combine($fields, array_values($errors)));
        }
        $clinic->update(['thresholds' => array_intersect_key($typed, array_fill_keys(array_column($read->lines(), 'name'), true))]);
    }
}
