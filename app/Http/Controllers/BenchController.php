<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Patient;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use App\Support\BenchAnswer;
use App\Support\BenchChoices;
use App\Support\MeasureSheet;
use App\Support\PatientFactsOf;
use App\Support\PatientHead;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Programme\ProgrammeDraft;

final class BenchController
{
    private const FIRST = ['technique' => 'extended-exhale'];

    public function show(Patient $patient): Response
    {
        $patient->load('latestScreening.answers.actions', 'activeProgramme.versions.items');
        $now = now();
        $latest = $patient->activeProgramme?->latestVersion();
        $today = $patient->dayOf($now);
        $draft = ProgrammeDraft::read($latest === null ? [self::FIRST] : self::items($latest), $latest?->school->value);
        $answer = BenchAnswer::to($draft, PatientFactsOf::patient($patient, $now), PatientFactsOf::inForce($latest));

        return Inertia::render('Bench', [
            'patient' => PatientHead::of($patient, $now),
            'choices' => BenchChoices::all($patient->clinic, array_map(fn ($each) => $each->fields, $draft->drafts)),
            'measured' => (object) MeasureSheet::latest($patient),
            'version' => $latest === null ? null : [
                'number' => $latest->number,
                'issued_on' => $latest->issued_at->setTimezone($patient->clinic->time_zone)->format('j M Y'),
            ],
            'draft' => [
                'weeks' => $latest?->ends_on === null ? 4 : (int) ceil(($latest->in_force_from->diffInDays($latest->ends_on) + 1) / 7),
                'starts_on' => $today->date,
                'review_on' => $today->plusDays(14)->date,
                'rated_symptom' => $latest->rated_symptom ?? 'tension',
                'goal' => $latest->goal ?? ['words' => '', 'measure' => '', 'target' => '', 'direction' => 'at-most'],
            ],
            'answer' => $answer,
        ]);
    }

    /** What follows from the programme as it is typed. */
    public function answer(Request $request, Patient $patient): JsonResponse
    {
        $patient->load('latestScreening.answers', 'activeProgramme.versions.items');
        $draft = ProgrammeDraft::read($request->array('items'), $request->string('school')->value() ?: null);

        return response()->json(BenchAnswer::to(
            $draft, PatientFactsOf::patient($patient, now()), PatientFactsOf::inForce($patient->activeProgramme?->latestVersion()),
        ));
    }

    /** @return list<array<string, mixed>> */
    private static function items(ProgrammeVersion $version): array
    {
        return array_values($version->items->map(fn (ProgrammeItem $item) => ['id' => $item->lineage, ...$item->fields])->all());
    }
}
