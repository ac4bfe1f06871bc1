<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Str;

/**
 * An address that a calendar reads without signing in. Whoever has it sees the times: only its hash is kept, and it ends when
 * it is revoked, when its device is signed out, or when its practitioner no longer works here.
 *
 * @property int $id
 * @property int|null $practitioner_id
 * @property int|null $device_id
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $read_at
 * @property CarbonImmutable|null $revoked_at
 * @property Practitioner|null $practitioner
 * @property Device|null $device
 */
final class CalendarAddress extends Row
{
    public $timestamps = false;

    protected $table = 'calendar_addresses';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return BelongsTo<Device, $this> */
    public function device(): BelongsTo
    {
        return $this->belongsTo(Device::class);
    }

    /** @return Builder<self> those of a practitioner or a device that still open something */
    public static function of(Practitioner|Device $owner): Builder
    {
        return self::query()->where($owner instanceof Device ? 'device_id' : 'practitioner_id', $owner->id)->whereNull('revoked_at');
    }

    /** The one whose secret this is, where it still opens something. */
    public static function known(string $token): ?self
    {
        return self::query()->where('token_hash', hash('sha256', $token))->whereNull('revoked_at')
            ->where(fn (Builder $either) => $either
                ->whereHas('practitioner', fn (Builder $who) => $who->whereNull('ended_at'))
                ->orWhereHas('device', fn (Builder $device) => $device->whereNull('revoked_at')))
            ->first();
    }

    /** A new one in place of the one before. The address is shown this once. */
    public static function handOut(Practitioner|Device $owner): string
    {
        self::of($owner)->update(['revoked_at' => now()]);
        $token = Str::random(48);
        self::query()->create([
            ($owner instanceof Device ? 'device_id' : 'practitioner_id') => $owner->id, 'token_hash' => hash('sha256', $token),
            'made_at' => now(),
        ]);

        return rtrim(config()->string('app.url'), '/')."/calendar/{$token}.ics";
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made_at' => 'immutable_datetime', 'read_at' => 'immutable_datetime', 'revoked_at' => 'immutable_datetime'];
    }
}
