<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;

/**
 * Something that a clinic has made itself and can prescribe. Programmes take a copy, so it may change and go.
 *
 * @property string $id
 * @property int $clinic_id
 * @property string $name
 * @property array<string, mixed> $fields
 */
abstract class OwnWork extends Row
{
    use HasUlids;

    /** A clinic keeps at most so many of a kind, so that every list stays readable. */
    public const MOST = 40;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['fields' => 'array'];
    }
}
