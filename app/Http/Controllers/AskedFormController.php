<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Assessment\AnswerForm;
use App\Actions\Assessment\AskForm;
use App\Facts\AskedForms;
use App\Facts\FormText;
use App\Models\AskedForm;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Questionnaires and screenings that are asked of a patient, in the room or on the patient's own device. */
final class AskedFormController
{
    public function store(Request $request, Patient $patient, #[CurrentUser] Practitioner $practitioner, AskForm $ask): JsonResponse
    {
        $form = $ask($patient, $practitioner, $request->string('form')->value(), $request->string('on')->value());

        return response()->json(['form' => FormText::view($form), ...self::asked($patient)], 201);
    }

    public function update(Request $request, Patient $patient, AskedForm $form, AnswerForm $answer): JsonResponse
    {
        abort_unless($form->patient_id === $patient->id, 404);
        $answer($form, $request->array('answers'), $request->boolean('done'), $request->boolean('with_gaps'));

        return response()->json(self::asked($patient));
    }

    /** Takes it back before it is complete. */
    public function destroy(Patient $patient, AskedForm $form): JsonResponse
    {
        abort_unless($form->patient_id === $patient->id && $form->completed_at === null, 404);
        $form->update(['settled_at' => now()]);

        return response()->json(self::asked($patient));
    }

    /** @return array<string, mixed> */
    private static function asked(Patient $patient): array
    {
        return ['questionnaires' => AskedForms::questionnaires($patient), 'symptoms_asked' => AskedForms::symptomsAsked($patient)];
    }
}
