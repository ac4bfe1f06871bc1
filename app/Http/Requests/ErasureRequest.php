<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Requests\Account\ConfirmsItIsYou;
use App\Models\Patient;
use Closure;
use Illuminate\Foundation\Http\FormRequest;

/** A record goes for good only by whoever types whose it is, and their own password. */
final class ErasureRequest extends FormRequest
{
    use ConfirmsItIsYou;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $patient = $this->route('patient');

        return [
            'name' => ['required', 'string', 'max:200', function (string $field, mixed $value, Closure $fail) use ($patient): void {
                $same = fn (string $one, string $other): bool => mb_strtolower(trim($one)) === mb_strtolower(trim($other));
                if (! $patient instanceof Patient || ! is_string($value) || ! $same($value, $patient->name)) {
                    $fail('This is not the name of this patient.');
                }
            }],
            ...$this->yourPassword(),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Type the name of the patient.', ...$this->askForYourPassword()];
    }
}
