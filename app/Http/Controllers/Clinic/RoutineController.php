<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Actions\Clinic\KeepOwnWork;
use App\Catalogue\Figures;
use App\Catalogue\RoomPlay;
use App\Catalogue\RoutineList;
use App\Models\OwnRoutine;
use App\Models\Practitioner;
use App\Pages\Bench\BenchChoices;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as Answer;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Exercise\Routine\Routine;
use IvoryPace\Exercise\Routine\RoutineFields;
use IvoryPace\Exercise\Routine\RoutineStep;
use IvoryPace\Exercise\Routine\StepKind;

/** Routines: looked at, tried, copied and changed. The shipped ones stay as they are. */
final class RoutineController
{
    public function show(#[CurrentUser] Practitioner $practitioner, string $key): Response
    {
        $routine = $this->find($practitioner, $key);

        return Inertia::render('RoutineEdit', [
            'key' => $key,
            'is_own' => OwnRoutine::query()->whereKey($key)->exists(),
            'fields' => RoutineFields::write($routine),
            'answer' => $this->figures($routine),
            'techniques' => BenchChoices::planned(),
            'body' => BenchChoices::body(),
            'kinds' => array_map(fn (StepKind $kind) => ['value' => $kind->value, 'label' => $kind->label()], StepKind::cases()),
            'limits' => ['steps' => Routine::MAX_STEPS, 'seconds' => RoutineStep::MAX_SECONDS],
        ]);
    }

    public function play(#[CurrentUser] Practitioner $practitioner, string $key): JsonResponse
    {
        $routine = $this->find($practitioner, $key);
        $timeline = $routine->timeline();

        return response()->json(RoomPlay::of($routine->name, $timeline, Figures::ridgeOf($timeline), $routine));
    }

    /** What follows from the steps as they are changed. */
    public function answer(Request $request): JsonResponse
    {
        [$routine, $errors] = RoutineFields::read($request->array('fields'));

        return response()->json(['errors' => (object) $errors, 'figures' => $routine === null ? null : $this->figures($routine)]);
    }

    public function store(Request $request, #[CurrentUser] Practitioner $practitioner, KeepOwnWork $keep): JsonResponse
    {
        $routine = $this->read($request);

        return response()->json(
            ['key' => $keep(new OwnRoutine, $practitioner, $routine->name, RoutineFields::write($routine), 'name')->id], 201,
        );
    }

    public function update(
        Request $request,
        #[CurrentUser] Practitioner $practitioner,
        OwnRoutine $ownRoutine,
        KeepOwnWork $keep,
    ): JsonResponse {
        $routine = $this->read($request);

        return response()->json(['key' => $keep($ownRoutine, $practitioner, $routine->name, RoutineFields::write($routine), 'name')->id]);
    }

    public function destroy(OwnRoutine $ownRoutine): Answer
    {
        $ownRoutine->delete();

        return response()->noContent();
    }

    private function find(Practitioner $practitioner, string $key): Routine
    {
        $routine = RoutineList::find($practitioner->clinic, $key);
        abort_if($routine === null, 404);

        return $routine;
    }

    /** @throws ValidationException with messages by field */
    private function read(Request $request): Routine
    {
        [$routine, $errors] = RoutineFields::read($request->array('fields'));

        return $routine ?? throw ValidationException::withMessages($errors);
    }

    /** @return array<string, mixed> */
    private function figures(Routine $routine): array
    {
        return RoutineList::figures($routine);
    }
}
