<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A line or two of text that must say something: an action taken, what was found. */
final class LineRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['line' => ['required', 'string', 'min:5', 'max:2000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'line.required' => 'Write down what was done.', 'line.min' => 'Write down what was done, in a few words at least.',
            'line.max' => 'At most 2000 characters.',
        ];
    }

    public function line(): string
    {
        return $this->string('line')->trim()->value();
    }
}
