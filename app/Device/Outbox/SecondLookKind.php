<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Practice\TakeSecondLook;
use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\Validator;

/** How it was some minutes after a stop, when the practice has been sent already. */
final class SecondLookKind implements Kind
{
    public function __construct(private readonly TakeSecondLook $look)
    {
    }

    public static function name(): string
    {
        return 'second-look';
    }

    public function isRewritten(): bool
    {
        return true;
    }

    public function isUrgent(Unchecked $body): bool
    {
        return $body->isFalse('settled');
    }

    public function describe(Unchecked $body): string
    {
        return 'How it was after a stop'.($body->isFalse('settled') ? ': it had not settled' : '');
    }

    public function rules(): array
    {
        return ['uuid' => ['required', 'uuid'], 'settled' => ['required', 'boolean'], 'at' => ['required', Kinds::TIME]];
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
        return ($this->look)($device->patient, (string) $body['uuid'], (bool) $body['settled'], $sent->corrected((string) $body['at']));
    }
}
