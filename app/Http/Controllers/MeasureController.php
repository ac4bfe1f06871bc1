<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Assessment\ChooseSymptoms;
use App\Actions\Assessment\StoreMeasurement;
use App\Catalogue\Figures;
use App\Catalogue\RoomPlay;
use App\Http\Requests\ChosenMeasuresRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Measure\MeasureDesk;
use App\Pages\Shared\PatientHead;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Assessment\TappedRate;
use IvoryPace\InvalidValue;
use IvoryPace\Session\GrowingBreath;

final class MeasureController
{
    public function show(Patient $patient): Response
    {
        return Inertia::render('Measure', [
            'patient' => PatientHead::of($patient, now()),
            'desk' => MeasureDesk::of($patient),
        ]);
    }

    public function store(
        Request $request,
        Patient $patient,
        #[CurrentUser] Practitioner $practitioner,
        StoreMeasurement $store,
    ): JsonResponse {
        $store($patient, $practitioner, $request->all());

        return response()->json(MeasureDesk::of($patient), 201);
    }

    /** Which symptoms this patient rates, and the patient's own normal range. */
    public function choose(ChosenMeasuresRequest $request, Patient $patient, ChooseSymptoms $choose): JsonResponse
    {
        $symptoms = $request->symptoms();
        if ($symptoms !== null) {
            $choose($patient, $symptoms);
        }
        if ($request->has('own_low_saturation')) {
            $patient->update(
                ['own_low_saturation' => $request->filled('own_low_saturation') ? $request->integer('own_low_saturation') : null],
            );
        }

        return response()->json(MeasureDesk::of($patient));
    }

    /** Even breathing that grows by a count, to be led in the room until it stops being easy. */
    public function ceiling(Patient $patient): JsonResponse
    {
        $item = GrowingBreath::item();

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
            'rate' => $rate->rate, 'median_s' => $rate->medianInterval, 'variation' => $rate->variation, 'cross_check' => $rate->crossCheck,
            'doubtful' => $rate->doubtful,
        ]);
    }
}
