<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use IvoryPace\Programme\VersionOrder;

final class VersionRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'items' => ['required', 'array', 'max:50'],
            'items.*' => ['array'],
            'school' => ['nullable', 'string', 'max:20'],
            'goal' => ['sometimes', 'array'],
            'goal.*' => ['nullable'],
            'patient_note' => ['nullable', 'string', 'max:2000'],
            'session' => ['nullable', 'string', 'max:26'],
            'weeks' => ['required_unless:maintenance,true', 'nullable', 'integer', 'between:1,52'],
            'maintenance' => ['sometimes', 'boolean'],
            'review_on' => ['required', 'date_format:Y-m-d'],
            'starts_on' => ['nullable', 'date_format:Y-m-d'],
            'rated_symptom' => ['required', 'string', 'max:60'],
            'reason' => ['nullable', 'string', 'max:2000'],
            'based_on' => ['required', 'integer', 'min:0'],
            'finding_reasons' => ['sometimes', 'array'],
            'finding_reasons.*' => ['array'],
            'finding_reasons.*.*' => ['nullable', 'string', 'max:2000'],
            'finding_causes' => ['sometimes', 'array', 'max:50'],
            'finding_causes.*' => ['array', 'max:60'],
            'finding_causes.*.*' => ['nullable', 'array', 'max:2'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'weeks.between' => 'Between 1 and 52 weeks.', 'weeks.integer' => 'Whole weeks, between 1 and 52.',
            'weeks.required_unless' => 'Type a number of weeks.',
            'review_on.date_format' => 'This is not a date; write it like 31 Jan 2027.', 'review_on.required' => 'Choose a review date.',
            'starts_on.date_format' => 'This is not a date; write it like 31 Jan 2027.',
            'rated_symptom.required' => 'Name what the patient rates before and after, like tension.',
            'rated_symptom.max' => 'At most 60 characters.',
        ];
    }

    public function order(): VersionOrder
    {
        return new VersionOrder(
            items: array_values($this->array('items')),
            weeks: $this->integer('weeks'),
            reviewOn: $this->string('review_on')->value(),
            startsOn: $this->filled('starts_on') ? $this->string('starts_on')->value() : null,
            ratedSymptom: $this->string('rated_symptom')->trim()->value(),
            reason: $this->filled('reason') ? $this->string('reason')->trim()->value() : null,
            basedOn: $this->integer('based_on'),
            findingReasons: $this->array('finding_reasons'),
            school: $this->filled('school') ? $this->string('school')->value() : null,
            goal: $this->array('goal'),
            patientNote: $this->filled('patient_note') ? $this->string('patient_note')->trim()->value() : null,
            maintenance: $this->boolean('maintenance'),
            findingCauses: $this->array('finding_causes'),
        );
    }
}
