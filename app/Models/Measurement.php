<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Assessment\Measure;
use IvoryPace\Exercise\Body\Position;

/**
 * One value, with how it was measured. It is never changed: a wrong one is struck, with a reason.
 *
 * @property int $id
 * @property string $patient_id
 * @property int $practitioner_id
 * @property Measure $measure
 * @property int|null $chosen_symptom_id
 * @property float $value
 * @property array<string, mixed>|null $details
 * @property Position $position
 * @property string $method
 * @property CarbonImmutable $measured_at
 * @property Practitioner $practitioner
 * @property ChosenSymptom|null $symptom
 */
final class Measurement extends Row
{
    use CanBeStruck;

    public $timestamps = false;

    protected $table = 'measurements';

    /** @return BelongsTo<Practitioner, $this> */
    public function practitioner(): BelongsTo
    {
        return $this->belongsTo(Practitioner::class);
    }

    /** @return BelongsTo<ChosenSymptom, $this> */
    public function symptom(): BelongsTo
    {
        return $this->belongsTo(ChosenSymptom::class, 'chosen_symptom_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'measure' => Measure::class, 'position' => Position::class, 'value' => 'float', 'details' => 'array',
            'measured_at' => 'immutable_datetime', 'struck_at' => 'immutable_datetime', 'struck_reason' => Sealed::class,
        ];
    }
}
