<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Calendar\AppointmentKind;
use IvoryPace\Calendar\Slot;

/**
 * When a patient comes.
 *
 * @property int $id
 * @property string $patient_id
 * @property int $practitioner_id
 * @property CarbonImmutable $starts_at
 * @property int $minutes
 * @property AppointmentKind $kind
 * @property string|null $series of those that were made together
 * @property int $revision how often it was changed
 * @property CarbonImmutable|null $cancelled_at
 * @property CarbonImmutable|null $updated_at
 * @property Patient $patient
 * @property Practitioner $practitioner
 */
final class Appointment extends Row
{
    /** An appointment ahead for each week of a year, and some. */
    public const MOST_AHEAD = 60;

    protected $table = 'appointments';

    protected $attributes = ['minutes' => 45, 'kind' => 'review', 'revision' => 0];

    /** @return BelongsTo<Patient, $this> */
    public function patient(): BelongsTo
    {
        return $this->belongsTo(Patient::class);
    }

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    public function slot(): Slot
    {
        return Slot::of($this->starts_at, $this->minutes);
    }

    /**
     * Those that are still to come.
     *
     * @return Builder<self>
     */
    public static function ahead(): Builder
    {
        return self::query()->whereNull('cancelled_at')->where('starts_at', '>', now());
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'immutable_datetime', 'cancelled_at' => 'immutable_datetime', 'updated_at' => 'immutable_datetime',
            'minutes' => 'integer', 'revision' => 'integer', 'kind' => AppointmentKind::class,
        ];
    }
}
