<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\RedFlagAction;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What was done about a red flag, and whether practice may go on. */
final class RedFlagActionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'line' => ['required', 'string', 'min:5', 'max:2000'],
            'outcome' => ['required', 'string', Rule::in([RedFlagAction::WAITING, RedFlagAction::MAY_GO_ON])],
            'lineages' => ['nullable', 'array', 'max:12'], 'lineages.*' => ['string', 'max:26'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $line = (new LineRequest)->messages();
        $outcome = 'Say whether practice may go on, or waits.';

        return [...$line, 'outcome.required' => $outcome, 'outcome.in' => $outcome];
    }

    public function line(): string
    {
        return $this->string('line')->trim()->value();
    }

    public function outcome(): string
    {
        return $this->string('outcome')->value();
    }

    /** @return list<string>|null null for every exercise */
    public function lineages(): ?array
    {
        $named = $this->input('lineages');

        return is_array($named) ? array_values(array_filter($named, is_string(...))) : null;
    }
}
