<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Guard\Tries;
use App\Http\Requests\ClinicSettingsRequest;
use Illuminate\Foundation\Http\FormRequest;

/** What is said of a clinic that begins, and of who leads it. */
final class FoundRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string', 'max:100'],
            'clinic_name' => ['required', 'string', 'min:2', 'max:120'],
            'time_zone' => ['required', 'timezone:all'],
            ...ClinicSettingsRequest::whomToCall(),
            ...PersonRequest::fields(),
            'email' => ['required', 'string', 'email:rfc', 'max:190'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'token.required' => 'This address is not whole. Open it once more as it was given to you.',
            'clinic_name.required' => 'Type what the clinic is called.', 'clinic_name.min' => 'Type the whole name.',
            'clinic_name.max' => 'At most 120 characters.', 'time_zone' => 'Choose one of the list.',
            ...ClinicSettingsRequest::words(), ...PersonRequest::words(),
            'email.required' => 'Type the e-mail address that you sign in with.', 'email.email' => 'This is not an e-mail address.',
            'password.required' => 'Choose a password.',
        ];
    }

    public function tries(): Tries
    {
        return new Tries(['found:'.Tries::addressOf($this->ip()) => 20], 15);
    }

    /** @return array{name: string, time_zone: string, emergency_wording: string, crisis_number: string, telephone: string|null} */
    public function clinic(): array
    {
        return [
            'name' => $this->string('clinic_name')->trim()->value(), 'time_zone' => $this->string('time_zone')->value(),
            ...ClinicSettingsRequest::called($this),
        ];
    }
}
