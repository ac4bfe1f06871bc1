<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Practice\WriteDiary;
use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\Validator;

/** A day of the diary. */
final class DiaryKind implements Kind
{
    public function __construct(private readonly WriteDiary $write)
    {
    }

    public static function name(): string
    {
        return 'diary';
    }

    public function isRewritten(): bool
    {
        return true;
    }

    public function isUrgent(Unchecked $body): bool
    {
        return false;
    }

    public function describe(Unchecked $body): string
    {
        return "Diary of {$body->day('day')}";
    }

    public function rules(): array
    {
        return [
            'day' => ['required', 'date_format:Y-m-d'], 'written_at' => ['required', Kinds::TIME],
            'ratings' => ['sometimes', 'array', 'max:10'], 'ratings.*' => ['nullable', 'integer', 'between:0,10'],
            'sleep' => ['nullable', 'integer', 'between:0,10'], 'text' => ['nullable', 'string', 'max:500'],
        ];
    }

    public function messages(): array
    {
        $range = (string) __('patient.diary.range');

        return [
            'ratings.*.between' => $range, 'ratings.*.integer' => $range, 'sleep.between' => $range, 'sleep.integer' => $range,
            'text.max' => (string) __('patient.diary.long'),
        ];
    }

    public function checkTogether(Validator $validator): void
    {
    }

    public function store(Device $device, array $body, Sent $sent): bool
    {
        $text = trim((string) ($body['text'] ?? ''));
        $read = fn (mixed $rating): ?int => is_numeric($rating) ? (int) $rating : null;

        return ($this->write)(
            $device, (string) $body['day'], array_map($read, (array) ($body['ratings'] ?? [])), $read($body['sleep'] ?? null),
            $text === '' ? null : $text,
            $sent->corrected((string) $body['written_at']),
        )->wasRecentlyCreated;
    }
}
