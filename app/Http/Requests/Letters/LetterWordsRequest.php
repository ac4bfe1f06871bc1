<?php

declare(strict_types=1);

namespace App\Http\Requests\Letters;

use Illuminate\Foundation\Http\FormRequest;

/** What stands above and under a clinic's letters, and its own sentences for them. */
final class LetterWordsRequest extends FormRequest
{
    private const MOST_BLOCKS = 20;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'letter_head' => ['nullable', 'string', 'max:400'], 'letter_foot' => ['nullable', 'string', 'max:600'],
            'blocks' => ['present', 'array', 'max:'.self::MOST_BLOCKS],
            'blocks.*' => ['array'],
            'blocks.*.name' => ['bail', 'required', 'string', 'max:60', 'distinct'],
            'blocks.*.text' => ['bail', 'required', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'letter_head.max' => 'At most 400 letters above a letter.', 'letter_foot.max' => 'At most 600 letters under a letter.',
            'blocks.max' => 'At most '.self::MOST_BLOCKS.' sentences.',
            'blocks.*.name.required' => 'Give it a name by which you find it.', 'blocks.*.name.distinct' => 'Another has this name.',
            'blocks.*.name.max' => 'A name has at most 60 letters.',
            'blocks.*.text.required' => 'Write the sentence, or take it away.', 'blocks.*.text.max' => 'At most 1000 letters.',
        ];
    }

    /** @return array{letter_head: string|null, letter_foot: string|null, letter_blocks: list<array{name: string, text: string}>} */
    public function words(): array
    {
        $text = fn (string $name): ?string => $this->string($name)->trim()->value() ?: null;

        return [
            'letter_head' => $text('letter_head'), 'letter_foot' => $text('letter_foot'),
            'letter_blocks' => array_map(fn (int|string $key) => [
                'name' => $this->string("blocks.$key.name")->trim()->value(), 'text' => $this->string("blocks.$key.text")->trim()->value(),
            ], array_keys(array_values($this->array('blocks')))),
        ];
    }
}
