<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Contracts\Database\Eloquent\ComparesCastableAttributes;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Crypt;

/**
 * Several values that stand encrypted in the database; none when they cannot be opened.
 *
 * @implements CastsAttributes<array<array-key, mixed>|null, array<array-key, mixed>|null>
 */
final class SealedList implements CastsAttributes, ComparesCastableAttributes
{
    /**
     * @param  array<string, mixed>  $attributes
     * @return array<array-key, mixed>|null
     */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?array
    {
        return is_string($value) ? self::open($value) : null;
    }

    /** @return array<array-key, mixed> */
    public static function open(string $sealed): array
    {
        $read = json_decode(Sealed::open($sealed) ?? '', true);

        return is_array($read) ? $read : [];
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : Crypt::encryptString(json_encode($value, JSON_THROW_ON_ERROR));
    }

    public function compare(Model $model, string $key, mixed $firstValue, mixed $secondValue): bool
    {
        return is_string($firstValue) && is_string($secondValue)
            ? Sealed::open($firstValue) === Sealed::open($secondValue) && Sealed::open($firstValue) !== null : $firstValue === $secondValue;
    }
}
