<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class PatientRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'birth_date' => ['required', 'date_format:Y-m-d', 'before:tomorrow', 'after:1900-01-01'],
            'time_zone' => ['required', 'timezone:all'],
            'day_start' => ['required', 'date_format:H:i'],
            'contact' => ['nullable', 'string', 'max:300'],
            'minutes_a_day' => ['nullable', 'integer', 'between:1,240'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Type the patient’s name.',
            'birth_date.required' => 'Type the date of birth.',
            'birth_date.date_format' => 'This is not a date; write it like 1968-03-14.',
            'birth_date.before' => 'The date of birth is in the future.',
            'birth_date.after' => 'The date of birth is before 1900.',
            'time_zone.timezone' => 'Choose a time zone from the list, like Europe/Lisbon.',
            'day_start.date_format' => 'This is not a time; write it like 04:00.',
            'minutes_a_day.between' => 'Between 1 and 240 minutes, or leave it empty.',
            'minutes_a_day.integer' => 'Whole minutes, or leave it empty.',
        ];
    }
}
