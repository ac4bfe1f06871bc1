<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Device;
use App\Models\KeptAside;
use App\Outbox\Sent;
use Carbon\CarbonImmutable;
use IvoryPace\Safety\StopClass;

/** What a signed-out device still sends is kept for a practitioner to look at. */
final class KeepAside
{
    /**
     * @param  array<array-key, mixed>  $body
     * @return bool false when so much is kept already that it has to wait on the device
     */
    public function __invoke(Device $device, string $item, string $kind, array $body, CarbonImmutable $sentAt, Sent $sent): bool
    {
        if (KeptAside::query()->where('device_id', $device->id)->where('item', $item)->exists()) {
            return true;
        }
        if (KeptAside::query()->where('device_id', $device->id)->count() >= KeptAside::MOST) {
            return false;
        }
        KeptAside::query()->create([
            'patient_id' => $device->patient_id, 'device_id' => $device->id, 'item' => $item, 'kind' => $kind, 'body' => $body,
            'is_urgent' => $kind === 'practice' && ($body['stop_class'] ?? null) === StopClass::GetHelp->value,
            'sent_at' => $sentAt, 'received_at' => $sent->receivedAt,
        ]);

        return true;
    }
}
