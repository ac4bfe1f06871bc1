<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use Illuminate\Foundation\Http\FormRequest;

/** Who somebody is, as colleagues and patients read it. */
final class PersonRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public static function fields(): array
    {
        return [
            'name' => ['required', 'string', 'min:2', 'max:120'], 'profession' => ['required', 'string', 'min:2', 'max:120'],
            'registration' => ['nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public static function words(): array
    {
        return [
            'name.required' => 'Type your name, as patients know it.', 'name.min' => 'Type your whole name.',
            'profession.required' => 'Type your profession.', 'profession.min' => 'Type your profession.',
            'registration.max' => 'At most 60 characters.',
        ];
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...self::fields(), 'mails_reviews' => ['sometimes', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...self::words(), 'mails_reviews' => 'Say yes or no.'];
    }

    /** @return array{name: string, profession: string, registration: string|null} */
    public static function read(FormRequest $request): array
    {
        $text = fn (string $field): string => $request->string($field)->trim()->value();

        return [
            'name' => $text('name'), 'profession' => $text('profession'),
            'registration' => $text('registration') === '' ? null : $text('registration'),
        ];
    }
}
