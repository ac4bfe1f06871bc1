<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody may join a clinic, once and for a few days.
 *
 * @property int $id
 * @property int $clinic_id
 * @property string $email
 * @property Role $role
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $used_at
 * @property CarbonImmutable|null $withdrawn_at
 * @property Clinic $clinic
 * @property Practitioner $inviter
 */
final class Invitation extends Row
{
    public const DAYS = 7;

    public $timestamps = false;

    protected $table = 'invitations';

    /** @return BelongsTo<Clinic, $this> */
    public function clinic(): BelongsTo
    {
        return $this->belongsTo(Clinic::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function inviter(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class, 'by_id');
    }

    /** @return Builder<self> those that still open something */
    public static function open(): Builder
    {
        return self::query()->whereNull('used_at')->whereNull('withdrawn_at')->where('expires_at', '>', now());
    }

    /** @return Builder<self> */
    public static function of(string $token): Builder
    {
        return self::open()->where('token_hash', hash('sha256', $token));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'role' => Role::class, 'made_at' => 'immutable_datetime', 'expires_at' => 'immutable_datetime',
            'used_at' => 'immutable_datetime', 'withdrawn_at' => 'immutable_datetime',
        ];
    }
}
