<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ChosenSymptom;
use Illuminate\Foundation\Http\FormRequest;

/** Which symptoms a patient rates, and where the patient's own normal range begins. */
final class ChosenMeasuresRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'symptoms' => ['sometimes', 'array', 'max:'.ChosenSymptom::MOST],
            'symptoms.*' => ['bail', 'string', 'max:60', 'distinct:ignore_case'],
            'own_low_saturation' => ['sometimes', 'nullable', 'integer', 'between:70,99'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'symptoms.max' => 'At most '.ChosenSymptom::MOST.' symptoms: more are not answered for long.',
            'symptoms.*.max' => 'A symptom has at most 60 letters.',
            'symptoms.*.distinct' => 'This symptom stands there already.',
            'own_low_saturation.between' => 'The patient’s own normal range begins between 70 and 99 %.',
            'own_low_saturation.integer' => 'Whole percent, or leave it empty.',
        ];
    }

    /** @return list<string>|null trimmed and in small letters; null where they stay as they are */
    public function symptoms(): ?array
    {
        if (! $this->has('symptoms')) {
            return null;
        }
        $names = array_map(fn (mixed $name) => mb_strtolower(trim(is_string($name) ? $name : '')), $this->array('symptoms'));

        return array_values(array_filter($names));
    }
}
