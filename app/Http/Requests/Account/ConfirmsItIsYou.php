<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Guard\Tries;
use App\Models\Practitioner;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\Validator;

/** For what is grave: whoever sits at an open session types the password of its owner once more. */
trait ConfirmsItIsYou
{
    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $who = $this->user('practitioner');
            $tries = new Tries(['your-password:'.($who instanceof Practitioner ? $who->id : 0) => 5], 5);
            $tries->ensureSomeAreLeft('your_password');
            if (! $who instanceof Practitioner || ! Hash::check($this->string('your_password')->value(), $who->password)) {
                $tries->countFailure();
                $validator->errors()->add('your_password', 'This is not your password.');
            }
        }];
    }

    /** @return array<string, list<string>> */
    private function yourPassword(): array
    {
        return ['your_password' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    private function askForYourPassword(): array
    {
        return ['your_password.required' => 'Type your password: this needs to be you.'];
    }
}
