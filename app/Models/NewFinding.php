<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use IvoryPace\Safety\Level;

/**
 * What a new fact said of the programme that was running, until a practitioner has looked or changed the programme.
 *
 * @property int $id
 * @property string $patient_id
 * @property string $lineage
 * @property string $rule
 * @property Level $level
 * @property string $exercise
 * @property string $title
 * @property string $message
 * @property array<mixed>|null $cause
 * @property string|null $looked_at what was found on looking
 * @property CarbonImmutable $found_at
 * @property CarbonImmutable|null $settled_at
 */
final class NewFinding extends Row
{
    public $timestamps = false;

    protected $table = 'new_findings';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'level' => Level::class, 'message' => Sealed::class, 'cause' => 'array', 'looked_at' => Sealed::class,
            'found_at' => 'immutable_datetime', 'settled_at' => 'immutable_datetime',
        ];
    }
}
