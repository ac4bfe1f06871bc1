<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;

/**
 * A resting rate that the patient tapped at home.
 *
 * @property int $id
 * @property string $uuid
 * @property string $patient_id
 * @property CarbonImmutable $taken_at
 * @property list<int> $taps ms
 * @property float $rate breaths per minute
 * @property int $doubtful intervals that may hide a missed or double tap
 */
final class HomeCheck extends Row
{
    use CanBeStruck;

    public $timestamps = false;

    protected $table = 'home_checks';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'taken_at' => 'immutable_datetime', 'taps' => 'array', 'rate' => 'float',
            'struck_at' => 'immutable_datetime', 'struck_reason' => Sealed::class,
        ];
    }
}
