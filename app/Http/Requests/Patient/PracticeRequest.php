<?php

declare(strict_types=1);

namespace App\Http\Requests\Patient;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use IvoryPace\Breath\Timeline\Tempo;
use IvoryPace\Programme\Anchor;
use IvoryPace\Safety\StopClass;
use IvoryPace\Safety\StopSymptom;

final class PracticeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rating = ['nullable', 'integer', 'between:0,10'];

        return [
            'uuid' => ['required', 'uuid'],
            'version_id' => ['required', 'integer'],
            'lineage' => ['required', 'ulid'],
            'anchor' => ['nullable', Rule::enum(Anchor::class)],
            'started_at' => ['required', 'date_format:Y-m-d\TH:i:s.vp,Y-m-d\TH:i:sp'],
            'ended_at' => ['required', 'date_format:Y-m-d\TH:i:s.vp,Y-m-d\TH:i:sp'],
            'sent_at' => ['required', 'date_format:Y-m-d\TH:i:s.vp,Y-m-d\TH:i:sp'],
            'breaths_done' => ['required', 'integer', 'between:0,2000'],
            'seconds_done' => ['required', 'integer', 'between:0,14400'],
            'open_ms' => ['nullable', 'array', 'max:200'],
            'open_ms.*' => ['integer', 'between:0,600000'],
            'enough_step' => ['nullable', 'integer', 'between:1,20'],
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

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator) {
            $class = StopClass::tryFrom($this->string('stop_class')->value());
            $symptom = StopSymptom::tryFrom($this->string('stop_symptom')->value());
            if ($symptom?->stopClass() !== ($class?->isSymptom() === true ? $class : null)) {
                $validator->errors()->add('stop_symptom', __('patient.log.symptom'));
            }
        }];
    }

    /** @return array<string, mixed> */
    public function log(): array
    {
        return $this->safe()->all();
    }
}
