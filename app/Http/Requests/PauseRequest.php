<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** What a practitioner pauses, and why. */
final class PauseRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['lineage' => ['nullable', 'ulid'], 'reason' => ['required', 'string', 'min:3', 'max:300']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $reason = 'Say why, in words that the patient reads.';

        return [
            'lineage.ulid' => 'Choose one of the exercises.', 'reason.required' => $reason, 'reason.min' => $reason,
            'reason.max' => 'At most 300 characters.',
        ];
    }

    /** Null for every exercise. */
    public function lineage(): ?string
    {
        return $this->filled('lineage') ? $this->string('lineage')->value() : null;
    }

    public function reason(): string
    {
        return $this->string('reason')->trim()->value();
    }
}
