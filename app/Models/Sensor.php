<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Auth\Authenticatable;
use Illuminate\Contracts\Auth\Authenticatable as AuthenticatableContract;
use Illuminate\Database\Eloquent\Builder;

/**
 * A device of the room that sends samples: a belt, two belts, an oximeter.
 *
 * @property int $id
 * @property int $clinic_id
 * @property int $practitioner_id who paired it
 * @property string $name
 * @property string|null $code_hash
 * @property CarbonImmutable|null $code_until
 * @property string|null $token_hash
 * @property CarbonImmutable|null $paired_at
 * @property CarbonImmutable|null $last_seen_at
 * @property CarbonImmutable|null $revoked_at
 * @property CarbonImmutable $created_at
 */
final class Sensor extends Row implements AuthenticatableContract
{
    use Authenticatable;

    /** Of one clinic, not counting those that were ended. */
    public const MOST = 40;

    public const CODE_MINUTES = 10;

    public const MOST_NAME = 60;

    /** s; what was heard of no longer ago is here. */
    public const HERE_S = 8;

    public $timestamps = false;

    protected $table = 'sensors';

    protected $hidden = ['code_hash', 'token_hash'];

    /** @return Builder<self> paired, and not ended */
    public static function pairedIn(int $clinic): Builder
    {
        return self::query()->where('clinic_id', $clinic)->whereNull('revoked_at')->whereNotNull('paired_at')->limit(self::MOST);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'code_until' => 'immutable_datetime', 'paired_at' => 'immutable_datetime', 'last_seen_at' => 'immutable_datetime',
            'revoked_at' => 'immutable_datetime', 'created_at' => 'immutable_datetime',
        ];
    }
}
