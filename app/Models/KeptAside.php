<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a device sent after it had been signed out. A practitioner accepts or refuses it; until then it counts nowhere.
 *
 * @property int $id
 * @property string $patient_id
 * @property int $device_id
 * @property string $item the device's own id of it
 * @property string $kind
 * @property array<array-key, mixed> $body
 * @property bool $is_urgent a get-help symptom, one that had not settled, or a yes to a red flag
 * @property CarbonImmutable $sent_at by the device's clock
 * @property CarbonImmutable $received_at
 * @property CarbonImmutable|null $settled_at
 * @property bool|null $accepted
 * @property Device $device
 */
final class KeptAside extends Row
{
    /** So much is kept of one device; the rest waits on it. */
    public const MOST = 500;

    public $timestamps = false;

    protected $table = 'kept_asides';

    /** @return BelongsTo<Device, $this> */
    public function device(): BelongsTo
    {
        return $this->belongsTo(Device::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'body' => SealedList::class, 'is_urgent' => 'boolean', 'accepted' => 'boolean',
            'sent_at' => 'immutable_datetime', 'received_at' => 'immutable_datetime', 'settled_at' => 'immutable_datetime',
        ];
    }
}
