<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use IvoryPace\Exercise\School;

/** What every patient reads in an emergency, and the school that a new programme begins with. */
final class ClinicSettingsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'emergency_wording' => ['required', 'string', 'min:20', 'max:300'],
            'crisis_number' => ['required', 'string', 'min:3', 'max:120', 'regex:/\d{3}/'],
            'telephone' => ['nullable', 'string', 'max:40', 'regex:/^\+?[\d \/()-]{5,}$/'],
            'school' => ['required', Rule::enum(School::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $number = 'Write the number, and whose it is.';

        return [
            'emergency_wording.required' => 'Patients need to read what to do in an emergency.',
            'emergency_wording.min' => 'Say whom to call and when, in a sentence.',
            'emergency_wording.max' => 'At most 300 characters: it is read in a hurry.',
            'school' => 'Choose one of the list.',
            'telephone.regex' => 'Write the number in digits, like 0200 555 010.', 'telephone.max' => 'At most 40 characters.',
            'crisis_number.required' => 'Enter whom a patient with thoughts of suicide can call; nobody is screened without it.',
            'crisis_number.regex' => $number,
            'crisis_number.min' => $number,
            'crisis_number.max' => 'At most 120 characters.',
        ];
    }

    /** @return array{emergency_wording: string, crisis_number: string, school: string, telephone: string|null} */
    public function settings(): array
    {
        return [
            'emergency_wording' => $this->string('emergency_wording')->trim()->value(),
            'crisis_number' => $this->string('crisis_number')->trim()->value(),
            'school' => $this->string('school')->value(),
            'telephone' => $this->string('telephone')->trim()->value() ?: null,
        ];
    }
}
