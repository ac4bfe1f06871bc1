<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Practice\PutOff;
use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use IvoryPace\Practice\NotToday;
use IvoryPace\Programme\Anchor;

/** "Not today", with its reason. */
final class PutOffKind implements Kind
{
    public function __construct(private readonly PutOff $putOff)
    {
    }

    public static function name(): string
    {
        return 'put-off';
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
        return "“Not today” of {$body->day('day')}";
    }

    public function rules(): array
    {
        return [
            'day' => ['required', 'date_format:Y-m-d'], 'lineage' => ['required', 'ulid'],
            'anchor' => ['required', Rule::enum(Anchor::class)],
            'reason' => ['required', Rule::enum(NotToday::class)], 'said_at' => ['required', Kinds::TIME],
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
        // Nobody says anything later than it arrives.
        $saidAt = $sent->corrected((string) $body['said_at'])->min($sent->receivedAt);

        return ($this->putOff)($device, $body, $saidAt)->wasRecentlyCreated;
    }
}
