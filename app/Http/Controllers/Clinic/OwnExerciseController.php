<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Actions\Clinic\KeepOwnWork;
use App\Models\OwnExercise;
use App\Models\Practitioner;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use IvoryPace\Exercise\PrescriptionFields;
use IvoryPace\Exercise\PrescriptionReader;

/** Counted breaths that a clinic names itself. Answers in JSON, so that the form keeps what was typed. */
final class OwnExerciseController
{
    public function store(Request $request, #[CurrentUser] Practitioner $practitioner, KeepOwnWork $keep): JsonResponse
    {
        [$name, $fields] = $this->read($request);

        return response()->json(['key' => $keep(new OwnExercise, $practitioner, $name, $fields, 'own_name')->id], 201);
    }

    public function update(
        Request $request,
        #[CurrentUser] Practitioner $practitioner,
        OwnExercise $ownExercise,
        KeepOwnWork $keep,
    ): JsonResponse {
        [$name, $fields] = $this->read($request);

        return response()->json(['key' => $keep($ownExercise, $practitioner, $name, $fields, 'own_name')->id]);
    }

    public function destroy(OwnExercise $ownExercise): Response
    {
        $ownExercise->delete();

        return response()->noContent();
    }

    /**
     * @return array{string, array<string, mixed>}
     *
     * @throws ValidationException with messages by field
     */
    private function read(Request $request): array
    {
        [$prescription, $errors] = PrescriptionReader::read(
            [...$request->array('fields'), 'technique' => 'own', 'own_name' => $request->string('fields.own_name')->value()],
        );
        if ($prescription === null) {
            throw ValidationException::withMessages($errors);
        }

        return [$prescription->name(), PrescriptionFields::write($prescription)];
    }
}
