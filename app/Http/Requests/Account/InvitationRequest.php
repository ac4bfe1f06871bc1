<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Models\Role;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class InvitationRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email:rfc', 'max:190'], 'role' => ['required', Rule::enum(Role::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.required' => 'Type the e-mail address.', 'email.email' => 'This is not an e-mail address.', 'role' => 'Choose a role.',
        ];
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->value());
    }
}
