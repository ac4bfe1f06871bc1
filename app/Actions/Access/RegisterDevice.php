<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Guard\DeviceGuard;
use App\Guard\Trail;
use App\Models\AccessLink;
use App\Models\Device;
use Illuminate\Support\Facades\DB;

/** Uses up an access link: the device gets a credential of its own. */
final class RegisterDevice
{
    public function __construct(private readonly Trail $trail)
    {
    }

    /** @return array{Device, string}|null the device and its credential; null when the link is used, expired or unknown */
    public function __invoke(string $column, string $hash, string $label): ?array
    {
        return DB::transaction(function () use ($column, $hash, $label) {
            $link = AccessLink::query()->where($column, $hash)->lockForUpdate()->first();
            if ($link === null || $link->used_at !== null || $link->expires_at->isPast()) {
                return null;
            }
            $link->update(['used_at' => now()]);
            $credential = DeviceGuard::newCredential();
            $device = Device::query()->create([
                'patient_id' => $link->patient_id,
                'credential_hash' => DeviceGuard::hash($credential),
                'label' => $label,
                'pin' => null,
                'wrong_pins' => 0,
                'last_seen_at' => now(),
                'revoked_at' => null,
            ]);

            $this->trail->device($device, 'devices/joined');

            return [$device, $credential];
        });
    }
}
