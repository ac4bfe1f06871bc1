<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Language\PatientLanguage;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

final class PatientRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'birth_date' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'before:tomorrow', 'after:1900-01-01'],
            'time_zone' => ['required', 'timezone:all'],
            'locale' => ['sometimes', 'string', 'in:'.implode(',', array_keys(PatientLanguage::all()))],
            'day_start' => ['required', 'date_format:H:i'],
            'contact' => ['nullable', 'string', 'max:300'],
            'mails_appointments' => ['sometimes', 'boolean'],
            'minutes_a_day' => ['nullable', 'integer', 'between:1,240'],
            'is_other' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Type the patient’s name.',
            'birth_date.required' => 'Type the date of birth.',
            'birth_date.date_format' => 'This is not a date; write it like 14 Mar 1968.',
            'birth_date.before' => 'The date of birth is in the future.',
            'birth_date.after' => 'The date of birth is before 1900.',
            'time_zone.timezone' => 'Choose a time zone from the list, like Europe/Lisbon.',
            'mails_appointments' => 'Say yes or no.',
            'locale' => 'Choose a language from the list.',
            'day_start.date_format' => 'This is not a time; write it like 04:00.',
            'minutes_a_day.between' => 'Between 1 and 240 minutes, or leave it empty.',
            'minutes_a_day.integer' => 'Whole minutes, or leave it empty.',
        ];
    }

    /**
     * Someone of this name and date of birth may be here already: asked once, with who it is.
     *
     * @return list<callable(Validator): void>
     */
    public function after(): array
    {
        return [function (Validator $validator) {
            $who = $this->user('practitioner');
            $present = $this->route('patient');
            $presentId = $present instanceof Patient ? $present->id : null;
            if ($validator->errors()->isNotEmpty() || ! $who instanceof Practitioner || $this->boolean('is_other')) {
                return;
            }
            $same = Patient::query()->where('clinic_id', $who->clinic_id)->where('name', $this->string('name')->trim()->value())
                ->where('birth_date', $this->string('birth_date')->value())
                ->when($presentId !== null, fn ($query) => $query->whereKeyNot($presentId))->with('practitioner')->first();
            if ($same !== null) {
                $validator->errors()->add(
                    'is_other',
                    "A patient of this name and date of birth is here already, with {$same->practitioner->name}, added "
                        ."{$same->created_at->format('j M Y')}.",
                );
                $validator->errors()->add('same', $same->id);
            }
        }];
    }

    /** @return array<string, mixed> */
    public function details(): array
    {
        return $this->safe()->except('is_other');
    }
}
