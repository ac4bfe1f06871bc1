<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Why something is taken back, dropped or put away. */
final class ReasonRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['reason' => ['required', 'string', 'min:3', 'max:500']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => 'Say why, in a few words.', 'reason.min' => 'Say why, in a few words.',
            'reason.max' => 'At most 500 characters.',
        ];
    }

    public function reason(): string
    {
        return $this->string('reason')->trim()->value();
    }
}
