<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Calendar\PatientDay;
use IvoryPace\Health\Flag;
use IvoryPace\Health\RedFlag;

/**
 * @property int $id
 * @property int $screening_id
 * @property string $question
 * @property bool $answer
 * @property CarbonImmutable|null $ends_on
 * @property int|null $pregnancy_weeks
 * @property CarbonImmutable|null $happened_on
 * @property bool $with_gas of an eye operation
 * @property Screening $screening
 */
final class ScreeningAnswer extends Row
{
    public $timestamps = false;

    protected $table = 'screening_answers';

    /** @return BelongsTo<Screening, $this> */
    public function screening(): BelongsTo
    {
        return $this->belongsTo(Screening::class);
    }

    public function redFlag(): ?RedFlag
    {
        return str_starts_with($this->question, 'red.') ? RedFlag::tryFrom(substr($this->question, 4)) : null;
    }

    /** The flag, when it was answered yes and has not come to its end by this day. */
    public function flagInForce(PatientDay $day): ?Flag
    {
        $isOver = $this->ends_on !== null && $this->ends_on->format('Y-m-d') < $day->date;

        return $this->answer && ! $isOver && str_starts_with($this->question, 'flag.')
            ? Flag::tryFrom(substr($this->question, 5)) : null;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['answer' => 'boolean', 'ends_on' => 'immutable_date', 'happened_on' => 'immutable_date', 'with_gas' => 'boolean'];
    }
}
