<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\StoreMeasurement;
use App\Catalogue\Figures;
use App\Catalogue\RoomPlay;
use App\Models\ChosenSymptom;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Measure\MeasureDesk;
use App\Pages\Shared\PatientHead;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Assessment\ComfortCeiling;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\InvalidValue;
use IvoryPace\Programme\DraftReader;
use LogicException;

final class MeasureController
{
    public function show(Patient $patient): Response
    {
        return Inertia::render('Measure', [
            'patient' => PatientHead::of($patient, now()),
            'desk' => MeasureDesk::of($patient),
        ]);
    }

    public function store(Request $request, Patient $patient, #[CurrentUser] Practitioner $practitioner, StoreMeasurement $store): JsonResponse
    {
        $store($patient, $practitioner, $request->all());

        return response()->json(MeasureDesk::of($patient), 201);
    }

    /** Which symptoms this patient rates, and the patient's own normal range. */
    public function choose(Request $request, Patient $patient): JsonResponse
    {
        $request->validate([
            'symptoms' => ['sometimes', 'array', 'max:'.ChosenSymptom::MOST], 'symptoms.*' => ['string', 'max:60', 'distinct:ignore_case'],
            'own_low_saturation' => ['sometimes', 'nullable', 'integer', 'between:70,99'],
        ], [
            'symptoms.max' => 'At most '.ChosenSymptom::MOST.' symptoms: more are not answered for long.', 'symptoms.*.max' => 'A symptom has at most 60 letters.', 'symptoms.*.distinct' => 'This symptom stands there already.',
            'own_low_saturation.between' => 'The patient’s own normal range begins between 70 and 99 %.', 'own_low_saturation.integer' => 'Whole percent, or leave it empty.',
        ]);
        if ($request->has('symptoms')) {
            $names = array_values(array_filter(array_map(fn (mixed $name) => mb_strtolower(trim(is_string($name) ? $name : '')), $request->array('symptoms'))));
            DB::transaction(function () use ($patient, $names) {
                $patient->symptoms()->whereNotIn('name', $names)->update(['dropped_at' => now()]);
                foreach ($names as $name) {
                    ChosenSymptom::query()->updateOrCreate(['patient_id' => $patient->id, 'name' => $name], ['dropped_at' => null]);
                }
            });
        }
        if ($request->has('own_low_saturation')) {
            $patient->update(['own_low_saturation' => $request->filled('own_low_saturation') ? $request->integer('own_low_saturation') : null]);
        }

        return response()->json(MeasureDesk::of($patient));
    }

    /** Even breathing that grows by a count, to be led in the room until it stops being easy. */
    public function ceiling(Patient $patient): JsonResponse
    {
        $item = DraftReader::read([
            'technique' => 'even', 'breaths' => 2, 'count_length' => 1,
            'ratio' => ComfortCeiling::FIRST_COUNTS.':'.ComfortCeiling::FIRST_COUNTS, 'parameters' => ['steps' => ComfortCeiling::LONGEST_COUNTS - ComfortCeiling::FIRST_COUNTS + 1],
        ], 'ceiling')->item ?? throw new LogicException('The growing breath of the catalogue cannot be read.');

        return response()->json(RoomPlay::of('Comfort ceiling', $item->timeline(), Figures::ridge($item)));
    }

    /** What taps say, before anything is stored. */
    public function rate(Request $request, Patient $patient): JsonResponse
    {
        try {
            $rate = TappedRate::of(array_values($request->array('taps')));
        } catch (InvalidValue $problem) {
            throw ValidationException::withMessages(['taps' => $problem->getMessage()]);
        }

        return response()->json([
            'rate' => $rate->rate, 'median_s' => $rate->medianInterval, 'variation' => $rate->variation, 'cross_check' => $rate->crossCheck, 'doubtful' => $rate->doubtful,
        ]);
    }
}
