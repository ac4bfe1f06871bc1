<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

final class SignInRequest extends FormRequest
{
    private const MOST_BY_ACCOUNT = 5;

    private const MOST_BY_ADDRESS = 30;

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

    /** @throws ValidationException when the two do not match, or after too many tries */
    public function authenticate(): void
    {
        $limits = [
            'sign-in:'.Str::lower($this->string('email')->value()).'|'.$this->ip() => self::MOST_BY_ACCOUNT,
            'sign-in:'.$this->ip() => self::MOST_BY_ADDRESS,
        ];
        foreach ($limits as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                $minutes = (int) ceil(RateLimiter::availableIn($key) / 60);
                throw ValidationException::withMessages(['email' => "Too many tries. Wait $minutes min, then try again."]);
            }
        }
        if (
            ! Auth::guard('practitioner')->attempt(
                ['email' => $this->string('email')->value(), 'password' => $this->string('password')->value()],
            )
        ) {
            foreach (array_keys($limits) as $key) {
                RateLimiter::hit($key, self::MINUTES * 60);
            }
            throw ValidationException::withMessages(['email' => 'E-mail and password do not match.']);
        }
        RateLimiter::clear(array_key_first($limits));
    }
}
