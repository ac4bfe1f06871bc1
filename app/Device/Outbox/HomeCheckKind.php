<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Practice\StoreHomeCheck;
use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\Validator;
use IvoryPace\Assessment\TappedRate;

/** A minute of taps at home. */
final class HomeCheckKind implements Kind
{
    public function __construct(private readonly StoreHomeCheck $store)
    {
    }

    public static function name(): string
    {
        return 'home-check';
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
        return "Home check of {$body->day('taken_at')}";
    }

    public function rules(): array
    {
        return [
            'uuid' => ['required', 'uuid'], 'taken_at' => ['required', Kinds::TIME],
            'taps' => ['required', 'array', 'max:'.TappedRate::MOST_TAPS], 'taps.*' => ['integer', 'between:0,600000'],
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
        return ($this->store)(
            $device, (string) $body['uuid'], array_values($body['taps']), $sent->corrected((string) $body['taken_at']),
        )->wasRecentlyCreated;
    }
}
