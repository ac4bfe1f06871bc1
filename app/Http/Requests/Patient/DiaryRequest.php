<?php

declare(strict_types=1);

namespace App\Http\Requests\Patient;

use Illuminate\Foundation\Http\FormRequest;

final class DiaryRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'ratings' => ['sometimes', 'array', 'max:10'], 'ratings.*' => ['nullable', 'integer', 'between:0,10'],
            'sleep' => ['nullable', 'integer', 'between:0,10'], 'text' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ratings.*.between' => (string) __('patient.diary.range'), 'ratings.*.integer' => (string) __('patient.diary.range'), 'sleep.between' => (string) __('patient.diary.range'),
            'sleep.integer' => (string) __('patient.diary.range'), 'text.max' => (string) __('patient.diary.long'),
        ];
    }

    /** @return array<array-key, int|null> */
    public function ratings(): array
    {
        return array_map(fn (mixed $rating) => is_numeric($rating) ? (int) $rating : null, $this->array('ratings'));
    }
}
