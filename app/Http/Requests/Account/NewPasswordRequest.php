<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use Illuminate\Foundation\Http\FormRequest;

final class NewPasswordRequest extends FormRequest
{
    use ConfirmsItIsYou;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['password' => ['required', 'string', 'max:200'], ...$this->yourPassword()];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['password.required' => 'Type a new password.', ...$this->askForYourPassword()];
    }
}
