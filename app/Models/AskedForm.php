<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\SealedList;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use IvoryPace\Assessment\Form;

/**
 * A screening or a questionnaire that was asked: on the patient's own device, or in the room. What is answered is kept
 * as it comes; once it is complete the database refuses every change.
 *
 * @property string $id
 * @property string $patient_id
 * @property string $form
 * @property array<array-key, mixed>|null $asked the questions of one that the clinic brought along, as they were asked
 * @property string $answered_on device or room
 * @property int $practitioner_id
 * @property CarbonImmutable $asked_at
 * @property array<array-key, int|string>|null $answers by key of the question
 * @property int $answered
 * @property float|null $score
 * @property int $missing
 * @property CarbonImmutable|null $completed_at
 * @property CarbonImmutable|null $settled_at
 * @property Patient $patient
 * @property Practitioner $practitioner
 */
final class AskedForm extends Row
{
    use HasUlids;

    public const SCREENING = 'screening';

    /** The patient's own symptoms, rated once, now. */
    public const SYMPTOMS = 'symptoms';

    public $timestamps = false;

    protected $table = 'asked_forms';

    protected $attributes = ['asked' => null];

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

    public function isScreening(): bool
    {
        return $this->form === self::SCREENING;
    }

    /** Its questions, where the clinic brought it along. */
    public function own(): ?Form
    {
        return $this->asked === null ? null : Form::read($this->asked);
    }

    /** @param  Builder<AskedForm>  $query  not answered yet, on the patient's device */
    public function scopeWaitingOnDevice(Builder $query): void
    {
        $query->where('answered_on', 'device')->whereNull('completed_at')->whereNull('settled_at');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'asked_at' => 'immutable_datetime', 'completed_at' => 'immutable_datetime', 'settled_at' => 'immutable_datetime',
            'asked' => 'array', 'answers' => SealedList::class, 'score' => 'float',
        ];
    }
}
