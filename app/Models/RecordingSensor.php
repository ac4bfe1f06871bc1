<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A device that may send to a recording, and how far it has come.
 *
 * @property int $id
 * @property int $recording_id
 * @property int $sensor_id
 * @property int|null $parts how many it sent, as it says itself when it is done
 * @property int $outside samples that did not belong to the recording
 * @property Sensor $sensor
 * @property Recording $recording
 */
final class RecordingSensor extends Row
{
    public $timestamps = false;

    protected $table = 'recording_sensors';

    /** @return BelongsTo<Sensor, $this> */
    public function sensor(): BelongsTo
    {
        return $this->belongsTo(Sensor::class);
    }

    /** @return BelongsTo<Recording, $this> */
    public function recording(): BelongsTo
    {
        return $this->belongsTo(Recording::class);
    }
}
