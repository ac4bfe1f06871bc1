<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/**
 * What this patient rates from 0 to 10, as chosen with the practitioner.
 *
 * @property int $id
 * @property string $patient_id
 * @property string $name
 * @property CarbonImmutable|null $dropped_at
 */
final class ChosenSymptom extends Row
{
    public const MOST = 6;

    protected $table = 'chosen_symptoms';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['dropped_at' => 'immutable_datetime'];
    }
}
