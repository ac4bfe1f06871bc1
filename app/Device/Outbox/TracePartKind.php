<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Recording\StorePhoneTrace;
use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\Validator;
use IvoryPace\Signal\Trace;

/** Half a minute of what a phone on the belly measured. */
final class TracePartKind implements Kind
{
    /** Samples of one part. */
    private const MOST = 800;

    /** mm/s²; no phone on a belly is thrown. */
    private const HARDEST = 200_000;

    public function __construct(private readonly StorePhoneTrace $store)
    {
    }

    public static function name(): string
    {
        return 'trace-part';
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
        return "A part of what the phone measured in a practice, number {$body->text('number')}";
    }

    public function rules(): array
    {
        $rules = [
            'uuid' => ['required', 'uuid'], 'number' => ['required', 'integer', 'between:1,'.TraceKind::MOST_PARTS],
            'from_ms' => ['required', 'integer', 'between:0,'.(1000 * Trace::LONGEST_S)],
            'step_ms' => ['required', 'integer', 'between:20,200'],
        ];
        foreach (['x', 'y', 'z'] as $axis) {
            $rules[$axis] = ['required', 'list', 'max:'.self::MOST];
        }

        return $rules;
    }

    public function messages(): array
    {
        return [];
    }

    /** There are thousands of numbers: one walk over them, instead of a rule for each. */
    public function checkTogether(Validator $validator): void
    {
        $counts = [];
        foreach (['x', 'y', 'z'] as $axis) {
            $steps = $validator->getValue($axis);
            if (! is_array($steps)) {
                return;
            }
            $now = 0;
            foreach ($steps as $step) {
                $now += is_int($step) ? max(-3 * self::HARDEST, min(3 * self::HARDEST, $step)) : 0;
                if (($step !== null && ! is_int($step)) || abs($now) > self::HARDEST) {
                    $validator->errors()->add($axis, (string) __('felt.traces.broken'));

                    return;
                }
            }
            $counts[] = array_keys(array_filter($steps, fn (mixed $step) => $step === null));
            $counts[] = count($steps);
        }
        if ($counts[0] !== $counts[2] || $counts[0] !== $counts[4] || $counts[1] !== $counts[3] || $counts[1] !== $counts[5]) {
            $validator->errors()->add('x', (string) __('felt.traces.broken'));
        }
    }

    public function store(Device $device, array $body, Sent $sent): bool
    {
        return $this->store->part($device, $body, $sent);
    }
}
