<?php

declare(strict_types=1);

namespace App\Actions;

use App\Device\Outbox\Sent;
use App\Models\Device;
use App\Models\KeptAside;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use IvoryPace\Health\StopClass;

/**
 * What a signed-out device still sends is kept for a practitioner to look at. The later word of a form or a diary day takes
 * the place of the earlier one, also when that has been looked at; what is urgent in it stays urgent.
 */
final class KeepAside
{
    /** Kinds that can be written again; a practice is what it was. */
    private const REWRITTEN = ['form', 'diary', 'second-look'];

    /**
     * @param  array<array-key, mixed>  $body
     * @return bool false when so much is kept already that it has to wait on the device
     */
    public function __invoke(Device $device, string $item, string $kind, array $body, CarbonImmutable $sentAt, Sent $sent): bool
    {
        return DB::transaction(function () use ($device, $item, $kind, $body, $sentAt, $sent) {
            $known = KeptAside::query()->lockForUpdate()->where('device_id', $device->id)->where('item', $item)->first();
            $isUrgent = self::isUrgent($kind, $body);
            if ($known !== null) {
                if (in_array($kind, self::REWRITTEN, true) && $known->kind === $kind && $known->body != $body && $sentAt >= $known->sent_at) {
                    $known->update([
                        'body' => $body, 'is_urgent' => $isUrgent || ($known->is_urgent && $known->settled_at === null), 'sent_at' => $sentAt, 'received_at' => $sent->receivedAt,
                        'settled_at' => null, 'settled_by' => null, 'accepted' => null,
                    ]);
                }

                return true;
            }
            if (KeptAside::query()->where('device_id', $device->id)->count() >= KeptAside::MOST) {
                return false;
            }
            KeptAside::query()->create([
                'patient_id' => $device->patient_id, 'device_id' => $device->id, 'item' => $item, 'kind' => $kind, 'body' => $body, 'is_urgent' => $isUrgent,
                'sent_at' => $sentAt, 'received_at' => $sent->receivedAt,
            ]);

            return true;
        });
    }

    /**
     * A practice that ended with a get-help symptom, one that had not settled, or a yes to a red flag.
     *
     * @param  array<array-key, mixed>  $body
     */
    private static function isUrgent(string $kind, array $body): bool
    {
        $answers = is_array($body['answers'] ?? null) ? $body['answers'] : [];

        return match ($kind) {
            'practice' => ($body['stop_class'] ?? null) === StopClass::GetHelp->value,
            'second-look' => ($body['settled'] ?? true) === false,
            'form' => array_filter($answers, fn (mixed $answer, int|string $key) => str_starts_with((string) $key, 'red.') && (int) (is_scalar($answer) ? $answer : 0) === 1, ARRAY_FILTER_USE_BOTH) !== [],
            default => false,
        };
    }
}
