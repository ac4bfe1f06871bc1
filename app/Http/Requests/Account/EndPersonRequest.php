<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use Illuminate\Foundation\Http\FormRequest;

final class EndPersonRequest extends FormRequest
{
    use ConfirmsItIsYou;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['to' => ['nullable', 'integer'], ...$this->yourPassword()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.integer' => 'Choose a colleague of the list.', ...$this->askForYourPassword()];
    }

    public function to(): ?int
    {
        return $this->filled('to') ? $this->integer('to') : null;
    }
}
