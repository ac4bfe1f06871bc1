<?php

declare(strict_types=1);

namespace App\Http\Requests\Letters;

use Illuminate\Foundation\Http\FormRequest;
use IvoryPace\Letter\LetterKind;
use IvoryPace\Letter\LetterPart;

/** What is typed in a letter. */
final class LetterRequest extends FormRequest
{
    public function kind(): LetterKind
    {
        return LetterKind::tryFrom((string) $this->route('kind')) ?? abort(404);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        $parts = [];
        foreach ($this->kind()->parts() as $part) {
            $parts["content.parts.{$part->value}"] = ['nullable', 'string', 'max:'.LetterPart::LONGEST];
        }

        return [
            'revision' => ['required', 'integer', 'min:0'], 'content' => ['required', 'array'],
            'content.addressee' => ['nullable', 'string', 'max:500'], 'content.parts' => ['required', 'array'], ...$parts,
            'content.with_course' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'content.parts.*.max' => 'At most '.LetterPart::LONGEST.' letters in a paragraph.',
            'content.addressee.max' => 'At most 500 letters in an address.',
        ];
    }

    /** @return array{addressee: string, parts: array<string, string>, with_course: bool} only what belongs to this kind */
    public function content(): array
    {
        $parts = [];
        foreach ($this->kind()->parts() as $part) {
            $parts[$part->value] = $this->string("content.parts.{$part->value}")->value();
        }

        return [
            'addressee' => $this->string('content.addressee')->value(), 'parts' => $parts,
            'with_course' => $this->boolean('content.with_course'),
        ];
    }
}
