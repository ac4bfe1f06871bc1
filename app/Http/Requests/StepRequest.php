<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Session\Step;

/** What is typed in one step of a session: only what belongs there is kept. */
final class StepRequest extends FormRequest
{
    public function step(): Step
    {
        $step = Step::tryFrom((string) $this->route('step'));
        abort_unless($step?->isKept() === true, 404);

        return $step;
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $text = ['nullable', 'string', 'max:5000'];

        return [
            'revision' => ['required', 'integer', 'min:0'],
            ...match ($this->step()) {
                Step::CatchUp => ['content.remarks' => $text, 'content.anything_new' => ['nullable', 'in:no,yes']],
                Step::Measure => ['content.remarks' => $text],
                Step::Teach => [
                    'content.remarks' => $text, 'content.tried' => ['sometimes', 'array', 'max:30'],
                    'content.tried.*.name' => ['required', 'string', 'max:120'],
                    'content.tried.*.lineage' => ['nullable', 'string', 'max:40'],
                    'content.tried.*.pattern' => ['nullable', 'string', 'max:80'],
                    'content.tried.*.at' => ['nullable', 'string', 'max:20'],
                    'content.tried.*.effort' => ['nullable', 'integer', 'between:0,10'],
                    'content.tried.*.smooth' => ['nullable', 'in:yes,partly,no'],
                    'content.tried.*.remark' => ['nullable', 'string', 'max:1000'],
                    'content.tried.*.seen' => ['sometimes', 'array', 'max:20'], 'content.tried.*.seen.*' => ['string', 'max:200'],
                ],
                Step::Decide => [
                    'content.remarks' => $text, 'content.decisions' => ['sometimes', 'array', 'max:30'],
                    'content.decisions.*.decision' => ['nullable', Rule::enum(Decision::class)],
                    'content.decisions.*.reason' => ['nullable', 'string', 'max:1000'],
                ],
                Step::HandOver => ['content.remarks' => $text, 'content.practised' => ['nullable', 'boolean']],
                default => ['content.text' => ['nullable', 'string', 'max:20000']],
            },
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'content.remarks.max' => 'At most 5000 letters in a step; the rest can go into the note.',
            'content.text.max' => 'At most 20000 letters.',
            'content.tried.*.effort.between' => 'Effort is a number from 0 to 10.',
            'content.tried.*.effort.integer' => 'Effort is a number from 0 to 10.',
        ];
    }

    /** @return array<string, mixed> */
    public function content(): array
    {
        $content = $this->validated('content');

        return is_array($content) ? $content : [];
    }
}
