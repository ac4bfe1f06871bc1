<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\Slot;
use IvoryPace\Exercise\School;

/** What every patient reads in an emergency, and the school that a new programme begins with. */
final class ClinicSettingsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public static function whomToCall(): array
    {
        return [
            'emergency_wording' => ['required', 'string', 'min:20', 'max:300'],
            'crisis_number' => ['required', 'string', 'min:3', 'max:120', 'regex:/\d{3}/'],
            'telephone' => ['nullable', 'string', 'max:40', 'regex:/^\+?[\d \/()-]{5,}$/'],
        ];
    }

    /** @return array{emergency_wording: string, crisis_number: string, telephone: string|null} */
    public static function called(FormRequest $request): array
    {
        return [
            'emergency_wording' => $request->string('emergency_wording')->trim()->value(),
            'crisis_number' => $request->string('crisis_number')->trim()->value(),
            'telephone' => $request->string('telephone')->trim()->value() ?: null,
        ];
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $kinds = implode(',', array_map(fn (AppointmentKind $kind) => $kind->value, AppointmentKind::cases()));

        return [
            ...self::whomToCall(), 'school' => ['required', Rule::enum(School::class)],
            'calendar_initials' => ['nullable', 'boolean'],
            'minutes' => ['nullable', "array:{$kinds}"],
            'minutes.*' => ['required', 'integer', 'between:'.Slot::SHORTEST.','.Slot::LONGEST],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $minutes = 'Write '.Slot::SHORTEST.' to '.Slot::LONGEST.' minutes.';

        return [
            'school' => 'Choose one of the list.', 'calendar_initials' => 'Say yes or no.', 'minutes' => $minutes,
            'minutes.*' => $minutes, 'minutes.*.required' => $minutes,
            'minutes.*.integer' => $minutes, 'minutes.*.between' => $minutes, ...self::words(),
        ];
    }

    /** @return array<string, string> */
    public static function words(): array
    {
        $number = 'Write the number, and whose it is.';

        return [
            'emergency_wording.required' => 'Patients need to read what to do in an emergency.',
            'emergency_wording.min' => 'Say whom to call and when, in a sentence.',
            'emergency_wording.max' => 'At most 300 characters: it is read in a hurry.',
            'telephone.regex' => 'Write the number in digits, like 0200 555 010.', 'telephone.max' => 'At most 40 characters.',
            'crisis_number.required' => 'Enter whom a patient with thoughts of suicide can call; nobody is screened without it.',
            'crisis_number.regex' => $number,
            'crisis_number.min' => $number,
            'crisis_number.max' => 'At most 120 characters.',
        ];
    }

    /** @return array<string, mixed> */
    public function settings(): array
    {
        $minutes = array_map(fn (mixed $each) => is_numeric($each) ? (int) $each : 0, $this->array('minutes'));

        return [
            ...self::called($this), 'school' => $this->string('school')->value(),
            ...($this->has('calendar_initials') ? ['calendar_initials' => $this->boolean('calendar_initials')] : []),
            ...($minutes === [] ? [] : ['appointment_minutes' => $minutes]),
        ];
    }
}
