<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;

/**
 * A habit that was looked after, once.
 *
 * @property int $id
 * @property string $uuid
 * @property string $patient_id
 * @property int $programme_version_id
 * @property string $lineage
 * @property CarbonImmutable $ticked_at
 * @property CarbonImmutable $received_at
 */
final class HabitTick extends Row
{
    use CanBeStruck;

    public $timestamps = false;

    protected $table = 'habit_ticks';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'ticked_at' => 'immutable_datetime', 'received_at' => 'immutable_datetime',
            'struck_at' => 'immutable_datetime', 'struck_reason' => Sealed::class,
        ];
    }
}
