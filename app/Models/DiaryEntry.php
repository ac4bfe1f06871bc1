<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;

/**
 * What a patient wrote about one day. Nobody reads it between sessions, and the page says so.
 *
 * @property int $id
 * @property string $patient_id
 * @property CarbonImmutable $day
 * @property array{ratings: array<array-key, int>, sleep: int|null, text: string|null} $content ratings by id of the chosen symptom
 * @property bool $is_late
 * @property CarbonImmutable $written_at
 */
final class DiaryEntry extends Row
{
    use CanBeStruck;

    public $timestamps = false;

    protected $table = 'diary_entries';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'day' => 'immutable_date:Y-m-d', 'content' => SealedList::class, 'is_late' => 'boolean', 'written_at' => 'immutable_datetime',
            'struck_at' => 'immutable_datetime', 'struck_reason' => Sealed::class,
        ];
    }
}
