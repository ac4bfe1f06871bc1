<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Sealed;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use IvoryPace\Health\StopClass;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Practice\Doubt;
use IvoryPace\Practice\PracticeRecord;
use IvoryPace\Programme\Anchor;

/**
 * @property int $id
 * @property string $uuid
 * @property string $patient_id
 * @property int $programme_version_id
 * @property string $lineage
 * @property Anchor|null $anchor
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable $ended_at
 * @property CarbonImmutable $received_at
 * @property int $breaths_done
 * @property int $breaths_prescribed
 * @property int $seconds_done
 * @property int $seconds_prescribed
 * @property float|null $tempo lengths over the prescribed ones; null as prescribed
 * @property bool $is_short
 * @property int|null $joined_ms length of the patient's own breath with which it began
 * @property int|null $recovered_after_s until breath had come back
 * @property int $interruptions
 * @property int|null $before
 * @property int|null $after
 * @property int|null $effort
 * @property string|null $smooth
 * @property bool|null $slight_symptom
 * @property list<int>|null $open_ms lengths of open cues as they were ended
 * @property list<array{step: int, breaths: int, seconds: int}>|null $steps_done how far each step of a routine got
 * @property array<string, string>|null $self_checks answers by what was asked
 * @property int|null $enough_step the step in which the patient said that it is enough
 * @property string $source device or paper
 * @property Doubt|null $doubt why it cannot have been so
 * @property string|null $remark
 * @property StopClass|null $stop_class
 * @property StopSymptom|null $stop_symptom
 * @property ProgrammeVersion $version
 */
final class Practice extends Row
{
    use CanBeStruck;

    /** Entered by the practitioner from the printed sheet. */
    public const PAPER = 'paper';

    public $timestamps = false;

    protected $table = 'practices';

    /** @return BelongsTo<ProgrammeVersion, $this> */
    public function version(): BelongsTo
    {
        return $this->belongsTo(ProgrammeVersion::class, 'programme_version_id');
    }

    /** @return HasOne<SecondLook, $this> how it was some minutes after a stop */
    public function secondLook(): HasOne
    {
        return $this->hasOne(SecondLook::class);
    }

    /** @return HasOne<Recording, $this> what a device measured of it */
    public function recording(): HasOne
    {
        return $this->hasOne(Recording::class);
    }

    /** The practice as the core counts it. */
    public function record(): PracticeRecord
    {
        return PracticeRecord::of(
            $this->lineage, $this->started_at, $this->breaths_done, $this->breaths_prescribed, $this->seconds_done,
            $this->seconds_prescribed,
            $this->stop_class, $this->anchor, $this->doubt,
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'started_at' => 'immutable_datetime', 'ended_at' => 'immutable_datetime', 'received_at' => 'immutable_datetime',
            'anchor' => Anchor::class, 'stop_class' => StopClass::class, 'stop_symptom' => StopSymptom::class,
            'remark' => Sealed::class, 'open_ms' => 'array', 'steps_done' => 'array', 'self_checks' => 'array', 'tempo' => 'float',
            'slight_symptom' => 'boolean', 'is_short' => 'boolean', 'doubt' => Doubt::class,
            'struck_at' => 'immutable_datetime', 'struck_reason' => Sealed::class,
        ];
    }
}
