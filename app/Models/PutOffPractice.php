<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Practice\NotToday;
use IvoryPace\Practice\PutOff;
use IvoryPace\Programme\Anchor;

/**
 * A practice that the patient put off for a day, with the reason.
 *
 * @property int $id
 * @property string $patient_id
 * @property CarbonImmutable $day
 * @property string $lineage
 * @property Anchor $anchor
 * @property NotToday $reason
 * @property CarbonImmutable $said_at
 */
final class PutOffPractice extends Row
{
    public $timestamps = false;

    protected $table = 'put_offs';

    public function forAdherence(): PutOff
    {
        return new PutOff($this->lineage, PatientDay::of($this->day->format('Y-m-d')), $this->reason);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['day' => 'immutable_date:Y-m-d', 'anchor' => Anchor::class, 'reason' => NotToday::class, 'said_at' => 'immutable_datetime'];
    }
}
