<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;

/**
 * Somebody may found a clinic here, once and for a few days.
 *
 * @property int $id
 * @property string $token_hash
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $used_at
 * @property int|null $clinic_id that was founded
 */
final class Founding extends Row
{
    public const DAYS = 7;

    public $timestamps = false;

    protected $table = 'foundings';

    /** @return Builder<self> what this still opens */
    public static function of(string $token): Builder
    {
        return self::query()->where('token_hash', hash('sha256', $token))->whereNull('used_at')->where('expires_at', '>', now());
    }

    /** @return string what opens it; only its hash is kept */
    public static function begin(): string
    {
        // The last one that was made is the one that works.
        self::query()->whereNull('used_at')->where('expires_at', '>', now())->update(['expires_at' => now()]);
        $token = Str::random(48);
        self::query()->create([
            'token_hash' => hash('sha256', $token), 'made_at' => now(), 'expires_at' => now()->addDays(self::DAYS),
        ]);

        return $token;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made_at' => 'immutable_datetime', 'expires_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime'];
    }
}
