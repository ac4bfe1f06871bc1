<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\TakeSecondLook;
use App\Models\Device;
use Illuminate\Validation\Validator;

/** How it was some minutes after a stop, when the practice has been sent already. */
final class SecondLookKind implements Kind
{
    public function __construct(private readonly TakeSecondLook $look)
    {
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
