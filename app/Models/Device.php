<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Auth\Authenticatable;
use Illuminate\Contracts\Auth\Authenticatable as AuthenticatableContract;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * A patient's phone or computer. It signs itself in with its credential; the PIN unlocks its screen.
 *
 * @property int $id
 * @property string $patient_id
 * @property string $label
 * @property string|null $pin
 * @property int $wrong_pins
 * @property string|null $open_hash the key that the screen was opened with
 * @property CarbonImmutable|null $open_until
 * @property CarbonImmutable|null $last_seen_at
 * @property CarbonImmutable|null $revoked_at
 * @property CarbonImmutable $created_at
 * @property string|null $came_as record under which it came, when that has been joined into another
 * @property CalendarAddress|null $calendarAddress
 * @property Patient $patient
 */
final class Device extends Row implements AuthenticatableContract
{
    use Authenticatable;

    /** After this many wrong PINs in a row the screen stays locked until the practitioner makes a new link. */
    public const MOST_WRONG_PINS = 10;

    protected $table = 'devices';

    protected $hidden = ['credential_hash', 'pin', 'open_hash'];

    /** @return BelongsTo<Patient, $this> */
    public function patient(): BelongsTo
    {
        return $this->belongsTo(Patient::class);
    }

    /** @return HasOne<CalendarAddress, $this> by which a calendar on it reads */
    public function calendarAddress(): HasOne
    {
        return $this->hasOne(CalendarAddress::class)->whereNull('revoked_at');
    }

    /** Whose what waits on it is, as the device knows it: that does not change when a record is joined into another. */
    public function owner(): string
    {
        return $this->came_as ?? $this->patient_id;
    }

    public function isLockedOut(): bool
    {
        return $this->wrong_pins >= self::MOST_WRONG_PINS;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'last_seen_at' => 'immutable_datetime', 'open_until' => 'immutable_datetime', 'revoked_at' => 'immutable_datetime',
            'created_at' => 'immutable_datetime', 'pin' => 'hashed',
        ];
    }
}
