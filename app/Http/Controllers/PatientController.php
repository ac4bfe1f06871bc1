<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Facts\AskedProgramme;
use App\Http\Requests\PatientRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Course\CourseOf;
use App\Pages\Course\Details;
use App\Pages\Course\Span;
use Closure;
use DateTimeZone;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class PatientController
{
    public function create(#[CurrentUser] Practitioner $practitioner): Response
    {
        return Inertia::render('PatientNew', [
            'time_zones' => DateTimeZone::listIdentifiers(),
            'time_zone' => $practitioner->clinic->time_zone,
        ]);
    }

    public function store(PatientRequest $request, #[CurrentUser] Practitioner $practitioner): RedirectResponse
    {
        $patient = Patient::query()->create([
            ...$request->details(),
            'clinic_id' => $practitioner->clinic_id,
            'practitioner_id' => $practitioner->id,
        ]);

        return redirect("/patients/{$patient->id}/screening");
    }

    public function show(Request $request, Patient $patient, #[CurrentUser] Practitioner $practitioner): Response
    {
        $patient->setRelation('clinic', $practitioner->clinic);
        $span = Span::tryFrom($request->string('span')->value()) ?? Span::ThreeMonths;

        $course = new CourseOf(
            $patient, now()->toImmutable(), $span, $request->only(['first', 'second', 'days']), AskedProgramme::of($request, $patient),
        );
        $details = $course->details();

        // The axis and what is proposed come first; what stands below follows at once.
        return Inertia::render(
            'Course',
            [
                ...$course->opening(),
                ...($details === null ? Details::none() : array_map(fn (Closure $part) => Inertia::defer($part), $details)),
            ],
        );
    }
}
