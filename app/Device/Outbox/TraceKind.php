<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Recording\StorePhoneTrace;
use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\Validator;
use IvoryPace\Signal\Reading\PlayedBreath;
use IvoryPace\Signal\Trace;

/** What belongs to all parts of what a phone measured: how many there are, and which breaths were led. */
final class TraceKind implements Kind
{
    /** Of half a minute each. */
    public const MOST_PARTS = 120;

    public function __construct(private readonly StorePhoneTrace $store)
    {
    }

    public static function name(): string
    {
        return 'trace';
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
        return "What the phone measured in the practice of {$body->day('started_at')}";
    }

    public function rules(): array
    {
        return [
            'uuid' => ['required', 'uuid'], 'started_at' => ['required', Kinds::TIME],
            'parts' => ['required', 'integer', 'between:1,'.self::MOST_PARTS],
            'inhale_ms' => ['required', 'integer', 'between:0,'.(1000 * Trace::LONGEST_S)],
            'played' => ['present', 'list', 'max:'.PlayedBreath::MOST],
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
        return $this->store->head($device, $body, $sent);
    }
}
