<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Guard\Tries;
use Illuminate\Foundation\Http\FormRequest;

/** A new password by a link that came by mail. */
final class ResetPasswordRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:190'], 'token' => ['required', 'string', 'max:100'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $again = 'This link is not whole. Open it once more from the message.';

        return ['email.required' => $again, 'token.required' => $again, 'password.required' => 'Type a new password.'];
    }

    public function tries(): Tries
    {
        return new Tries(['reset:'.Tries::addressOf($this->ip()) => 20], 15);
    }
}
