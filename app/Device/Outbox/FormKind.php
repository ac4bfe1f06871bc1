<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Assessment\AnswerForm;
use App\Facts\Sent;
use App\Models\AskedForm;
use App\Models\Device;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/** Answers to questions that wait on the device. */
final class FormKind implements Kind
{
    public function __construct(private readonly AnswerForm $answer)
    {
    }

    public static function name(): string
    {
        return 'form';
    }

    public function isRewritten(): bool
    {
        return true;
    }

    public function isUrgent(Unchecked $body): bool
    {
        return array_filter($body->list('answers'), self::isYesToARedFlag(...), ARRAY_FILTER_USE_BOTH) !== [];
    }

    public function describe(Unchecked $body): string
    {
        return 'Answers to questions'.($this->isUrgent($body) ? ', with a yes to something urgent' : '');
    }

    public function rules(): array
    {
        return [
            'form' => ['required', 'ulid'], 'answers' => ['present', 'array', 'max:200'], 'done' => ['sometimes', 'boolean'],
            'with_gaps' => ['sometimes', 'boolean'], 'answered_at' => ['sometimes', 'nullable', Kinds::TIME],
        ];
    }

    public function messages(): array
    {
        return [];
    }

    public function checkTogether(Validator $validator): void
    {
    }

    public function store(Device $device, array $body, Sent $sent): bool
    {
        $form = AskedForm::query()->where('patient_id', $device->patient_id)->where('answered_on', 'device')
            ->whereKey((string) $body['form'])->first();
        if ($form === null) {
            throw ValidationException::withMessages(['form' => (string) __('form.taken-back')]);
        }
        if ($form->completed_at !== null && ($body['done'] ?? false) && $form->answers == $body['answers']) {
            return false;
        }
        ($this->answer)(
            $form, $body['answers'], (bool) ($body['done'] ?? false), (bool) ($body['with_gaps'] ?? false),
            isset($body['answered_at']) ? $sent->corrected((string) $body['answered_at'])->min($sent->receivedAt) : null,
        );

        return true;
    }

    private static function isYesToARedFlag(mixed $answer, int|string $key): bool
    {
        return str_starts_with((string) $key, 'red.') && is_scalar($answer) && (int) $answer === 1;
    }
}
