<?php

declare(strict_types=1);

namespace App\Http\Requests\Patient;

use App\Guard\AccessCode;
use App\Guard\Tries;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;

final class AccessRequest extends FormRequest
{
    /**
     * Failures before an address or a code waits. There is no limit for everybody together: with it one guesser would lock out
     * every patient. A code has 50 bits; with these limits a thousand networks guess for ten thousand years.
     */
    private const MOST = ['address' => 20, 'code' => 5];

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

    /** By address, for links and for codes apart: whoever mistypes codes does not close the door to links. */
    public function tries(): Tries
    {
        [$column, $hash] = $this->secret();
        $here = Tries::addressOf($this->ip());

        return new Tries(["access:$column:$here" => self::MOST['address'], "access:code:$hash" => self::MOST['code']], self::MINUTES);
    }
}
