<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use IvoryPace\Assessment\Screening;

final class ScreeningRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'answers' => ['present', 'array'],
            'answers.*' => ['boolean'],
            'ends_on' => ['sometimes', 'array'],
            'ends_on.*' => ['nullable', 'date_format:Y-m-d', 'after:yesterday'],
            'pregnancy_weeks' => ['nullable', 'integer', 'between:1,42'],
            'confirms' => ['nullable', 'string', 'max:26'],
            'remark' => ['nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ends_on.*.date_format' => 'This is not a date; write it like 2027-01-31.',
            'ends_on.*.after' => 'The end has passed already; answer no instead.',
            'pregnancy_weeks.between' => 'Between 1 and 42 weeks.',
            'pregnancy_weeks.integer' => 'Whole weeks, between 1 and 42.',
        ];
    }

    /** @return array<string, bool> by question, unknown questions left out */
    public function answers(): array
    {
        $answers = [];
        foreach (Screening::keys() as $question) {
            // Questions contain dots, which the request would read as a path.
            $answer = $this->array('answers')[$question] ?? null;
            if ($answer !== null) {
                $answers[$question] = filter_var($answer, FILTER_VALIDATE_BOOL);
            }
        }

        return $answers;
    }

    /** @return array<string, string|null> by question */
    public function endDates(): array
    {
        return array_map(fn ($date) => is_string($date) ? $date : null, $this->array('ends_on'));
    }
}
