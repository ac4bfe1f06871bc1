<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Support\PatientFactsOf;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\Measure;
use IvoryPace\Assessment\Taking;
use IvoryPace\Exercise\Position;
use IvoryPace\Fields;
use IvoryPace\Safety\UrgentValue;

/**
 * Computes a value from what was tapped, tried or typed, and stores it with how it was measured. An urgent one opens a
 * red flag.
 */
final class StoreMeasurement
{
    public function __construct(private readonly RaiseRedFlag $raise)
    {
    }

    /**
     * @param  array<string, mixed>  $input  measure; what was taken; position; sure
     *
     * @throws ValidationException with messages by field
     */
    public function __invoke(Patient $patient, Practitioner $by, array $input): Measurement
    {
        $fields = new Fields($input);
        $measure = $fields->attempt('measure', fn () => $fields->choice(Measure::class, 'measure'));
        $position = $fields->attempt('position', fn () => $fields->choice(Position::class, 'position'));
        $taken = $measure === null ? null : $fields->attempt('value', fn () => Taken::read($measure, $fields));
        if ($measure === null || $position === null || $taken === null) {
            throw ValidationException::withMessages($fields->errors());
        }
        $symptom = $measure->how() === Taking::Rating ? $patient->symptoms()->whereKey($input['symptom'] ?? null)->first() : null;
        if ($measure->how() === Taking::Rating && $symptom === null) {
            throw ValidationException::withMessages(['value' => 'This symptom is not one of the patient’s.']);
        }
        $patient->loadMissing('latestScreening.answers', 'activeProgramme.versions.items');
        $urgent = UrgentValue::of($measure, $taken->value, PatientFactsOf::patient($patient, CarbonImmutable::now()), $patient->own_low_saturation);
        $shown = "{$measure->label()} of ".round($taken->value, 1)." {$measure->unit()}";
        if (($urgent !== null || $measure->isUnusual($taken->value)) && ! $fields->isTrue('sure')) {
            throw ValidationException::withMessages([
                'sure' => $urgent === null ? "$shown is unusual. Sure?" : "$shown is urgent: kept, it opens a red flag that blocks issuing until you record what was done. Sure?",
            ]);
        }

        return DB::transaction(function () use ($patient, $by, $measure, $taken, $position, $symptom, $urgent, $shown) {
            if ($urgent !== null) {
                ($this->raise)($patient, $urgent, 'measured', $shown);
            }

            return Measurement::query()->create([
                'patient_id' => $patient->id, 'practitioner_id' => $by->id, 'measure' => $measure, 'chosen_symptom_id' => $symptom?->id,
                'value' => round($taken->value, 3), 'details' => $taken->details, 'position' => $position, 'method' => $taken->method, 'measured_at' => now(),
            ]);
        });
    }
}
