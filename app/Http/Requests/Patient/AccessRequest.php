<?php

declare(strict_types=1);

namespace App\Http\Requests\Patient;

use App\Guard\AccessCode;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

final class AccessRequest extends FormRequest
{
    /** Failures before waiting, by address, by code, and by everybody together. */
    private const MOST = ['address' => 10, 'code' => 5, 'all' => 300];

    private const MINUTES = 15;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'token' => ['nullable', 'string', 'max:100', 'required_without:code'],
            'code' => ['nullable', 'string', 'max:40', 'required_without:token'],
            'label' => ['nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['code.required_without' => __('patient.enter.type-code'), 'token.required_without' => __('patient.enter.type-code')];
    }

    /** @return array{string, string} column and hash of what was given */
    public function secret(): array
    {
        return $this->filled('token')
            ? ['token_hash', hash('sha256', $this->string('token')->value())]
            : ['code_hash', AccessCode::hash($this->string('code')->value())];
    }

    public function deviceLabel(): string
    {
        return Str::limit($this->string('label')->trim()->value() ?: __('patient.enter.device'), 77);
    }

    /** @throws ValidationException after too many failures */
    public function ensureNotThrottled(): void
    {
        foreach ($this->limits() as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                $minutes = (int) ceil(RateLimiter::availableIn($key) / 60);
                throw ValidationException::withMessages(['code' => __('patient.enter.wait', ['minutes' => $minutes])])->status(429);
            }
        }
    }

    public function countFailure(): void
    {
        foreach (array_keys($this->limits()) as $key) {
            RateLimiter::hit($key, self::MINUTES * 60);
        }
    }

    /** @return array<string, int> */
    private function limits(): array
    {
        return [
            "access:address:{$this->ip()}" => self::MOST['address'],
            "access:code:{$this->secret()[1]}" => self::MOST['code'],
            'access:all' => self::MOST['all'],
        ];
    }
}
