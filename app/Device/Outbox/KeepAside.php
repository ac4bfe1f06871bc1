<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Facts\Sent;
use App\Models\Device;
use App\Models\KeptAside;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * What a signed-out device still sends is kept for a practitioner to look at. The later word of a form or a diary day takes
 * the place of the earlier one, also when that has been looked at; what is urgent in it stays urgent.
 */
final class KeepAside
{
    /**
     * @param  array<array-key, mixed>  $body
     * @return bool false when so much is kept already that it has to wait on the device
     */
    public function __invoke(Device $device, string $item, string $kind, array $body, CarbonImmutable $sentAt, Sent $sent): bool
    {
        return DB::transaction(function () use ($device, $item, $kind, $body, $sentAt, $sent) {
            $known = KeptAside::query()->lockForUpdate()->where('device_id', $device->id)->where('item', $item)->first();
            $of = Kinds::named($kind);
            $isUrgent = $of->isUrgent(new Unchecked($body));
            if ($known !== null) {
                if ($of->isRewritten() && $known->kind === $kind && $known->body != $body && $sentAt >= $known->sent_at) {
                    $known->update([
                        'body' => $body, 'is_urgent' => $isUrgent || ($known->is_urgent && $known->settled_at === null),
                        'sent_at' => $sentAt, 'received_at' => $sent->receivedAt,
                        'settled_at' => null, 'settled_by' => null, 'accepted' => null,
                    ]);
                }

                return true;
            }
            if (KeptAside::query()->where('device_id', $device->id)->count() >= KeptAside::MOST) {
                return false;
            }
            KeptAside::query()->create([
                'patient_id' => $device->patient_id, 'device_id' => $device->id, 'item' => $item, 'kind' => $kind, 'body' => $body,
                'is_urgent' => $isUrgent,
                'sent_at' => $sentAt, 'received_at' => $sent->receivedAt,
            ]);

            return true;
        });
    }
}
