<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Device\Outbox\KeepAside;
use App\Device\Outbox\Kinds;
use App\Facts\Sent;
use App\Guard\Conflict;
use App\Guard\DeviceGuard;
use App\Guard\NoValue;
use App\Language\ConsentText;
use App\Models\Device;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Throwable;

/**
 * Takes what has waited on a device, several things at once, with an answer for each: one that cannot be stored never
 * holds up the others. The device's credential alone is enough, for it may have waited for days; of a device that has
 * been signed out everything is kept aside.
 */
final class OutboxController
{
    private const MOST = 50;

    /** Nobody has checked it, so it must not be large, in bytes. */
    private const LARGEST_ASIDE = 16_000;

    public function __construct(private readonly KeepAside $keepAside)
    {
    }

    public function __invoke(Request $request): JsonResponse
    {
        $device = DeviceGuard::deviceOf($request, signedOutToo: true);
        abort_if($device === null, 401, (string) __('problem.not-known'));
        // Nothing is recorded before consent, and nothing after it was withdrawn, not even aside.
        abort_unless(
            ConsentText::isInForceFor($device->patient_id, $device->id), $device->revoked_at === null ? 409 : 401,
            (string) __($device->revoked_at === null ? 'patient.consent.first' : 'problem.signed-out'),
        );
        $request->validate([
            'sent_at' => ['required', Kinds::TIME],
            'items' => ['required', 'list', 'max:'.self::MOST],
            'items.*.id' => ['required', 'string', 'max:64'],
            'items.*.kind' => ['required', Rule::in(Kinds::names())],
            'items.*.body' => ['present', 'array'],
        ]);
        $sentAt = CarbonImmutable::parse($request->string('sent_at')->value())->utc();
        $sent = new Sent($sentAt, CarbonImmutable::now());
        $answers = [];
        foreach ($request->array('items') as $item) {
            $answers[] = ['id' => $item['id'], ...($device->revoked_at === null
                ? $this->stored($device, $item, $sent)
                : $this->aside($device, $item, $sentAt, $sent))];
        }

        return response()->json(['answers' => $answers]);
    }

    /**
     * @param  array{id: string, kind: string, body: array<array-key, mixed>}  $item
     * @return array<string, mixed>
     */
    private function stored(Device $device, array $item, Sent $sent): array
    {
        try {
            $isNew = Conflict::settle(
                fn (int $before) => Kinds::store($item['kind'], $before === 0 ? $device : $device->refresh(), $item['body'], $sent),
            );

            return ['result' => $isNew ? 'stored' : 'again'];
        } catch (ValidationException $problem) {
            return ['result' => 'refused', 'message' => Arr::flatten($problem->errors())[0] ?? '', 'errors' => $problem->errors()];
        } catch (Throwable $problem) {
            report($problem);

            return NoValue::is($problem) ? ['result' => 'refused', 'message' => (string) __('problem.422.text')] : ['result' => 'later'];
        }
    }

    /**
     * @param  array{id: string, kind: string, body: array<array-key, mixed>}  $item
     * @return array<string, mixed>
     */
    private function aside(Device $device, array $item, CarbonImmutable $sentAt, Sent $sent): array
    {
        if (strlen((string) json_encode($item['body'])) > self::LARGEST_ASIDE) {
            return ['result' => 'refused', 'message' => (string) __('patient.log.too-large')];
        }

        return [
            'result' => ($this->keepAside)($device, $item['id'], $item['kind'], $item['body'], $sentAt, $sent) ? 'kept-aside' : 'later',
        ];
    }
}
