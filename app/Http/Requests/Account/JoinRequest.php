<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Guard\Tries;
use Illuminate\Foundation\Http\FormRequest;

/** What an invited person says of themselves. */
final class JoinRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string', 'max:100'], ...PersonRequest::fields(), 'password' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'token.required' => 'This address is not whole. Open it once more from the message.', ...PersonRequest::words(),
            'password.required' => 'Choose a password.',
        ];
    }

    public function tries(): Tries
    {
        return new Tries(['join:'.Tries::addressOf($this->ip()) => 20], 15);
    }
}
