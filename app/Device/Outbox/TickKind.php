<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Practice\StoreTick;
use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\Validator;

/** A habit, ticked once. */
final class TickKind implements Kind
{
    public function __construct(private readonly StoreTick $store)
    {
    }

    public static function name(): string
    {
        return 'tick';
    }

    public function isRewritten(): bool
    {
        return false;
    }

    public function isUrgent(Unchecked $body): bool
    {
        return false;
    }

    public function describe(Unchecked $body): string
    {
        return "Habit ticked on {$body->day('ticked_at')}";
    }

    public function rules(): array
    {
        return [
            'uuid' => ['required', 'uuid'], 'version_id' => ['required', 'integer'], 'lineage' => ['required', 'ulid'],
            'ticked_at' => ['required', Kinds::TIME],
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
        return ($this->store)($device, $body, $sent)->wasRecentlyCreated;
    }
}
