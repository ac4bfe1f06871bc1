<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\StoreMeasurement;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Support\MeasureSheet;
use App\Support\PatientHead;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\Exercise\Position;
use IvoryPace\InvalidValue;

final class MeasureController
{
    public function show(Patient $patient): Response
    {
        return Inertia::render('Measure', [
            'patient' => PatientHead::of($patient, now()),
            'measures' => MeasureSheet::of($patient),
            'positions' => array_map(fn (Position $position) => ['value' => $position->value, 'label' => $position->label()], Position::cases()),
        ]);
    }

    public function store(Request $request, Patient $patient, #[CurrentUser] Practitioner $practitioner, StoreMeasurement $store): JsonResponse
    {
        $store($patient, $practitioner, $request->all());

        return response()->json(['measures' => MeasureSheet::of($patient)], 201);
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
