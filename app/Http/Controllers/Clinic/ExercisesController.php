<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Catalogue\Figures;
use App\Catalogue\RoomPlay;
use App\Catalogue\RoutineList;
use App\Catalogue\Shelf;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Exercises\ExerciseDetail;
use App\Pages\Exercises\ExerciseList;
use App\Pages\Exercises\OwnChoices;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Exercise\Body\Position;
use IvoryPace\Exercise\Compiler;
use IvoryPace\Exercise\Purpose;
use IvoryPace\Exercise\School;

/** The catalogue, for this clinic, and perhaps for one patient. */
final class ExercisesController
{
    private const FIRST = 'diaphragmatic';

    private const MOST_PATIENTS = 500;

    public function show(Request $request, #[CurrentUser] Practitioner $practitioner, string $key = self::FIRST): Response
    {
        $clinic = $practitioner->clinic;
        $prescription = Shelf::find($clinic, $key);
        abort_if($prescription === null, 404);
        $patient = $this->patient($request);

        return Inertia::render('Exercises', [
            'list' => fn () => ExerciseList::of($clinic, $patient, now()),
            'chosen' => ExerciseDetail::of($key, $prescription),
            'patient' => $patient === null ? null : ['id' => $patient->id, 'name' => $patient->name],
            'patients' => fn () => Patient::query()->where('clinic_id', $clinic->id)->orderBy('name')->limit(self::MOST_PATIENTS)
                ->get(['id', 'name']),
            'routines' => fn () => RoutineList::of($clinic),
            'purposes' => array_map(fn (Purpose $purpose) => ['value' => $purpose->value, 'label' => $purpose->label()], Purpose::cases()),
            'positions' => array_map(
                fn (Position $position) => ['value' => $position->value, 'label' => $position->label()], Position::cases(),
            ),
            'own' => OwnChoices::all(),
        ]);
    }

    /** The exercise as the player leads it in the room, in a school. */
    public function play(Request $request, #[CurrentUser] Practitioner $practitioner, string $key): JsonResponse
    {
        $prescription = Shelf::find($practitioner->clinic, $key);
        abort_if($prescription === null, 404);
        $school = School::tryFrom($request->string('school')->value()) ?? School::GentleControl;
        $here = Shelf::inSchool($prescription, $school);

        return response()->json(RoomPlay::of($here->name(), Compiler::compile($here), Figures::ridge($here)));
    }

    private function patient(Request $request): ?Patient
    {
        if (! $request->filled('patient')) {
            return null;
        }
        $patient = Patient::query()->with('latestScreening.answers', 'activeProgramme.versions.items')
            ->findOrFail($request->string('patient')->value());
        Gate::authorize('view', $patient);

        return $patient;
    }
}
