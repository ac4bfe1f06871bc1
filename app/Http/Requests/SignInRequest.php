<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Guard\Passwords;
use App\Guard\Trail;
use App\Guard\Tries;
use App\Models\Practitioner;
use App\Models\TrailKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

final class SignInRequest extends FormRequest
{
    /** Failures within some minutes: of an account from one address, of an account from anywhere, of an address. */
    private const MOST = ['account-here' => 5, 'account' => 50, 'address' => 30];

    private const MINUTES = 5;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email', 'max:190'], 'password' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.required' => 'Type your e-mail address.', 'email.email' => 'This is not an e-mail address.',
            'password.required' => 'Type your password.',
        ];
    }

    /** @throws ValidationException when the two do not match, or after too many tries; a known and an unknown address take the same time */
    public function authenticate(Trail $trail): Practitioner
    {
        $tries = $this->tries();
        $tries->ensureSomeAreLeft('email');
        $who = Practitioner::query()->where('email', $this->address())->first();
        $isRight = Hash::check($this->string('password')->value(), $who->password ?? Passwords::nobodys());
        if ($who === null || $who->ended_at !== null || ! $isRight) {
            $tries->countFailure();
            if ($who !== null) {
                $trail->practitioner($who, TrailKind::Refused, 'account/sign-in');
            }
            throw ValidationException::withMessages(['email' => 'E-mail and password do not match.']);
        }
        $tries->forget($this->names()['account-here']);

        return $who;
    }

    private function address(): string
    {
        return Practitioner::addressOf($this->string('email')->value());
    }

    private function tries(): Tries
    {
        return new Tries(array_combine($this->names(), self::MOST), self::MINUTES);
    }

    /** @return array{account-here: string, account: string, address: string} */
    private function names(): array
    {
        $account = hash('sha256', $this->address());
        $here = Tries::addressOf($this->ip());

        return ['account-here' => "sign-in:$account|$here", 'account' => "sign-in:account:$account", 'address' => "sign-in:$here"];
    }
}
