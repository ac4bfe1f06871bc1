<?php

declare(strict_types=1);

namespace App\Http\Controllers\Record;

use App\Actions\Letters\SignLetter;
use App\Actions\Letters\WriteLetter;
use App\Http\Requests\Letters\LetterRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Letters\LettersPage;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response as Page;
use IvoryPace\Letter\LetterKind;

/** A letter while it is written. */
final class LetterDraftController
{
    public function store(Request $request, Patient $patient, #[CurrentUser] Practitioner $by, WriteLetter $write): RedirectResponse
    {
        $request->validate(['kind' => ['required', Rule::enum(LetterKind::class)], 'replaces' => ['nullable', 'integer', 'min:1']]);
        $replaces = $request->filled('replaces') ? $patient->letters()->whereDoesntHave('replacement')
            ->findOrFail($request->integer('replaces')) : null;
        $kind = $replaces === null ? LetterKind::from($request->string('kind')->value()) : $replaces->kind;
        $write->begin($patient, $kind, $by, $replaces);

        return redirect("/patients/{$patient->id}/letters/{$kind->value}");
    }

    public function show(Patient $patient, string $kind): Page|RedirectResponse
    {
        $draft = WriteLetter::of($patient, self::kind($kind));

        return $draft === null ? redirect("/patients/{$patient->id}/letters")
            : Inertia::render('Letters', LettersPage::draft($patient, $draft, CarbonImmutable::now()));
    }

    /** Keeps what is typed, or answers 409 with what somebody else has typed meanwhile. */
    public function keep(
        LetterRequest $request,
        Patient $patient,
        string $kind,
        #[CurrentUser] Practitioner $by,
        WriteLetter $write,
    ): JsonResponse {
        ['kept' => $isKept, 'draft' => $draft] = $write->keep(
            $patient, $request->kind(), $by, $request->content(), $request->integer('revision'),
        );
        $body = [
            'revision' => $draft->revision,
            'kept_at' => $draft->updated_at->setTimezone($patient->clinic->time_zone)->format('H:i:s'),
        ];

        return $isKept ? response()->json($body) : response()->json([
            ...$body, 'message' => 'Someone else has typed here meanwhile.', 'content' => LettersPage::content($draft),
            'by' => $draft->practitioner->name,
        ], 409);
    }

    /** As the record would fill it now. */
    public function fill(Patient $patient, string $kind): JsonResponse
    {
        return response()->json(['parts' => WriteLetter::filled($patient, self::kind($kind))]);
    }

    public function preview(Patient $patient, string $kind, #[CurrentUser] Practitioner $by): Response
    {
        $draft = WriteLetter::of($patient, self::kind($kind)) ?? abort(404);

        return response(SignLetter::paper($patient, $draft, $by, CarbonImmutable::now())->pdf(), 200, [
            'Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="draft.pdf"',
        ]);
    }

    public function sign(
        Request $request,
        Patient $patient,
        string $kind,
        #[CurrentUser] Practitioner $by,
        SignLetter $sign,
    ): JsonResponse {
        $request->validate(['revision' => ['required', 'integer', 'min:0']]);
        $sign($patient, self::kind($kind), $by, $request->integer('revision'));

        return response()->json(['go_to' => "/patients/{$patient->id}/letters"], 201);
    }

    public function destroy(Patient $patient, string $kind): RedirectResponse
    {
        (WriteLetter::of($patient, self::kind($kind)) ?? abort(404))->delete();

        return redirect("/patients/{$patient->id}/letters")->with('flash', 'The draft is thrown away.');
    }

    private static function kind(string $kind): LetterKind
    {
        return LetterKind::tryFrom($kind) ?? abort(404);
    }
}
