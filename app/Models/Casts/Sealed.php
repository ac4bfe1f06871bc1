<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Contracts\Database\Eloquent\ComparesCastableAttributes;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;

/**
 * A text that stands encrypted in the database. One that cannot be opened, because the key or the cell is damaged, is said to
 * be unreadable in its place; the rest of the record can still be read.
 *
 * @implements CastsAttributes<string|null, string|null>
 */
final class Sealed implements CastsAttributes, ComparesCastableAttributes
{
    public const UNREADABLE = '(cannot be read)';

    /** @return string|null null when there is nothing, or nothing that can be opened */
    public static function open(?string $sealed): ?string
    {
        if ($sealed === null) {
            return null;
        }
        try {
            // What was stored before broken text was refused.
            return mb_scrub(Crypt::decryptString($sealed), 'UTF-8');
        } catch (DecryptException) {
            return null;
        }
    }

    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return is_string($value) ? self::open($value) ?? self::UNREADABLE : null;
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : Crypt::encryptString((string) $value);
    }

    public function compare(Model $model, string $key, mixed $firstValue, mixed $secondValue): bool
    {
        return is_string($firstValue) && is_string($secondValue)
            ? self::open($firstValue) === self::open($secondValue) && self::open($firstValue) !== null : $firstValue === $secondValue;
    }
}
