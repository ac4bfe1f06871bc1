<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\PatientFactsOf;
use App\Facts\ReachOf;
use App\Models\Patient;
use App\Pages\Bench\BenchAnswer;
use App\Pages\Bench\BenchPage;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Programme\ProgrammeDraft;

final class BenchController
{
    public function show(Request $request, Patient $patient): Response
    {
        return Inertia::render('Bench', [...BenchPage::of($patient, $request->boolean('keep_up')), 'session' => null, 'decided' => null]);
    }

    /** What follows from the programme as it is typed. */
    public function answer(Request $request, Patient $patient): JsonResponse
    {
        $patient->load('latestScreening.answers', 'activeProgramme.versions.items');
        $draft = ProgrammeDraft::read($request->array('items'), $request->string('school')->value() ?: null);

        $facts = PatientFactsOf::patient($patient, now());

        return response()->json(
            BenchAnswer::to(
                $draft, $facts, PatientFactsOf::inForce($patient->activeProgramme?->latestVersion()),
                ReachOf::reach($patient, $facts, now()),
            ),
        );
    }
}
