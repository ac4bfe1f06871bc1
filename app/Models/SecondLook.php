<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/**
 * How a symptom was some minutes after it had made someone stop.
 *
 * @property int $id
 * @property int $practice_id
 * @property bool $settled
 * @property CarbonImmutable $looked_at
 * @property CarbonImmutable $received_at
 */
final class SecondLook extends Row
{
    public $timestamps = false;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['settled' => 'boolean', 'looked_at' => 'immutable_datetime', 'received_at' => 'immutable_datetime'];
    }
}
