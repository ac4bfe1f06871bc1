<?php

declare(strict_types=1);

namespace App\Device\Outbox;

use App\Actions\Practice\StorePractice;
use App\Facts\Sent;
use App\Models\Device;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\Breath\Timeline\Tempo;
use IvoryPace\Health\StopClass;
use IvoryPace\Health\StopSymptom;
use IvoryPace\Programme\Anchor;

/** A practice, as far as it got. */
final class PracticeKind implements Kind
{
    public function __construct(private readonly StorePractice $store)
    {
    }

    public static function name(): string
    {
        return 'practice';
    }

    public function isRewritten(): bool
    {
        return false;
    }

    public function isUrgent(Unchecked $body): bool
    {
        return $body->text('stop_class') === StopClass::GetHelp->value;
    }

    public function describe(Unchecked $body): string
    {
        $symptom = StopSymptom::tryFrom($body->text('stop_symptom'));

        return "Practice of {$body->day('started_at')}, {$body->text('breaths_done')} breaths, {$body->text('seconds_done')} s"
            .($symptom === null ? '' : ", stopped: {$symptom->label()}");
    }

    public function rules(): array
    {
        $rating = ['nullable', 'integer', 'between:0,10'];

        return [
            'uuid' => ['required', 'uuid'],
            'version_id' => ['required', 'integer'],
            'lineage' => ['required', 'ulid'],
            'anchor' => ['nullable', Rule::enum(Anchor::class)],
            'started_at' => ['required', Kinds::TIME],
            'ended_at' => ['required', Kinds::TIME],
            'breaths_done' => ['required', 'integer', 'between:0,2000'],
            'seconds_done' => ['required', 'integer', 'between:0,14400'],
            'short' => ['sometimes', 'boolean'],
            'joined_ms' => ['nullable', 'integer', 'between:1000,30000'],
            'recovered_after_s' => ['nullable', 'integer', 'between:0,14400'],
            'interruptions' => ['sometimes', 'integer', 'between:0,1000'],
            'open_ms' => ['nullable', 'array', 'max:200'],
            'open_ms.*' => ['integer', 'between:0,600000'],
            'steps_done' => ['nullable', 'array', 'max:20'],
            'steps_done.*' => ['array:step,breaths,seconds'],
            'steps_done.*.step' => ['required', 'integer', 'between:1,20'],
            'steps_done.*.breaths' => ['required', 'integer', 'between:0,2000'],
            'steps_done.*.seconds' => ['required', 'integer', 'between:0,14400'],
            'self_checks' => ['nullable', 'array', 'max:10'],
            'self_checks.*' => ['string', 'max:20'],
            'pace_taps' => ['nullable', 'array:before,after'],
            'pace_taps.*' => ['nullable', 'list', 'max:'.TappedRate::MOST_TAPS],
            'pace_taps.*.*' => ['integer', 'between:0,600000'],
            'enough_step' => ['nullable', 'integer', 'between:1,20'],
            'enough' => ['sometimes', 'boolean'],
            'tempo' => ['nullable', 'numeric', 'between:'.Tempo::MIN.','.Tempo::MAX],
            'before' => $rating,
            'after' => $rating,
            'effort' => $rating,
            'smooth' => ['nullable', 'in:yes,partly,no'],
            'slight_symptom' => ['nullable', 'boolean'],
            'remark' => ['nullable', 'string', 'max:1000'],
            'stop_class' => ['nullable', Rule::enum(StopClass::class)],
            'stop_symptom' => ['nullable', Rule::enum(StopSymptom::class)],
        ];
    }

    public function messages(): array
    {
        return array_fill_keys(
            ['before.between', 'after.between', 'effort.between', 'before.integer', 'after.integer', 'effort.integer'],
            (string) __('patient.diary.range'),
        );
    }

    public function checkTogether(Validator $validator): void
    {
        $read = fn (string $field): string => is_string($validator->getValue($field)) ? $validator->getValue($field) : '';
        $class = StopClass::tryFrom($read('stop_class'));
        $symptom = StopSymptom::tryFrom($read('stop_symptom'));
        if (
            ($symptom === null) !== ($class?->isSymptom() !== true) || (
                $symptom !== null && $class !== null && ! $symptom->goesWith($class)
            )
        ) {
            $validator->errors()->add('stop_symptom', (string) __('patient.log.symptom'));
        }
    }

    public function store(Device $device, array $body, Sent $sent): bool
    {
        return ($this->store)($device, $body, $sent)[1];
    }
}
