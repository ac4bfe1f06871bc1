<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Session\BeginSession;
use App\Actions\Session\KeepStep;
use App\Actions\Session\SignNote;
use App\Http\Requests\StepRequest;
use App\Models\CareSession;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Bench\BenchPage;
use App\Pages\Bench\DecidedHere;
use App\Pages\Session\SessionHead;
use App\Pages\Session\SessionSteps;
use App\Pages\Shared\PatientHead;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use IvoryPace\Session\Step;

/** A session with its steps, left to right. */
final class SessionController
{
    public function store(Patient $patient, #[CurrentUser] Practitioner $practitioner, BeginSession $begin): RedirectResponse
    {
        return redirect("/patients/{$patient->id}/sessions/{$begin($patient, $practitioner)->id}/brief");
    }

    public function show(Patient $patient, CareSession $careSession, string $step = 'brief'): Response
    {
        $step = Step::tryFrom($step) ?? abort(404);
        $careSession->load('steps.practitioner', 'practitioner', 'note.practitioner', 'note.amendments.practitioner');
        $head = SessionHead::of($careSession, $step);
        if ($step === Step::Prescribe && $careSession->closed_at === null) {
            return Inertia::render(
                'Bench', [...BenchPage::of($patient), 'session' => $head, 'decided' => DecidedHere::of($patient, $careSession)],
            );
        }
        $now = now();

        return Inertia::render('Session', [
            'patient' => PatientHead::of($patient, $now), 'session' => $head, 'kept' => SessionHead::kept($careSession, $step),
            'shown' => SessionSteps::of($patient, $careSession, $step, $now),
        ]);
    }

    /** Keeps what is typed, or answers 409 with what someone else has typed meanwhile. */
    public function keep(
        StepRequest $request,
        Patient $patient,
        CareSession $careSession,
        string $step,
        #[CurrentUser] Practitioner $practitioner,
        KeepStep $keep,
    ): JsonResponse {
        ['kept' => $isKept, 'step' => $kept] = $keep(
            $careSession, $practitioner, $request->step(), $request->content(), $request->integer('revision'),
        );
        $body = ['revision' => $kept->revision, 'kept_at' => $kept->kept_at->setTimezone($patient->clinic->time_zone)->format('H:i:s')];

        return $isKept ? response()->json($body)
            : response()->json(
                [
                    ...$body, 'message' => 'Someone else has typed here meanwhile.', 'content' => (object) $kept->content,
                    'by' => $kept->practitioner->name,
                ],
                409,
            );
    }

    public function sign(
        Request $request,
        Patient $patient,
        CareSession $careSession,
        #[CurrentUser] Practitioner $practitioner,
        SignNote $sign,
    ): JsonResponse {
        $request->validate(
            ['text' => ['required', 'string', 'max:20000']],
            ['text.required' => 'The note is empty. Write a line, then sign.', 'text.max' => 'At most 20000 letters.'],
        );
        $sign($careSession, $practitioner, $request->string('text')->trim()->value());

        return response()->json(['go_to' => "/patients/{$patient->id}/sessions/{$careSession->id}/note"], 201);
    }

    public function amend(
        Request $request,
        Patient $patient,
        CareSession $careSession,
        #[CurrentUser] Practitioner $practitioner,
        SignNote $sign,
    ): RedirectResponse {
        $request->validate(
            ['text' => ['required', 'string', 'max:5000'], 'reason' => ['required', 'string', 'min:3', 'max:500']],
            [
                'text.required' => 'Write what is added or corrected.', 'reason.required' => 'Say why it is amended.',
                'reason.min' => 'Say why it is amended, in a word at least.',
            ],
        );
        $sign->amend($careSession, $practitioner, $request->string('text')->trim()->value(), $request->string('reason')->trim()->value());

        return back(fallback: "/patients/{$patient->id}/sessions/{$careSession->id}/note")->with('flash', 'Amendment signed.');
    }
}
