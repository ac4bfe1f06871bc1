<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use Illuminate\Foundation\Http\FormRequest;

/** Nothing but the password of whoever asks. */
final class YourPasswordRequest extends FormRequest
{
    use ConfirmsItIsYou;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return $this->yourPassword();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return $this->askForYourPassword();
    }
}
