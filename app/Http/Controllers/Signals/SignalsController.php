<?php

declare(strict_types=1);

namespace App\Http\Controllers\Signals;

use App\Actions\Recording\ForgetSamples;
use App\Actions\Recording\ReadTraceFile;
use App\Actions\Recording\RoomRecordings;
use App\Actions\Recording\SayOfTraces;
use App\Catalogue\Figures;
use App\Catalogue\RoomPlay;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Models\Recording;
use App\Pages\Measure\SignalsPage;
use App\Signals\Live;
use App\Signals\TraceFile;
use App\Signals\TracesAgreed;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response as Page;
use IvoryPace\InvalidValue;
use IvoryPace\Session\PaceComparison;
use IvoryPace\Signal\Edf\EdfReader;

/** A patient is measured with devices of the room. */
final class SignalsController
{
    public function show(Patient $patient): Page
    {
        return Inertia::render('Signals', SignalsPage::of($patient, CarbonImmutable::now()));
    }

    public function begin(
        Request $request,
        Patient $patient,
        #[CurrentUser] Practitioner $by,
        RoomRecordings $recordings,
    ): JsonResponse {
        $recordings->begin($patient, $by, $request->all(), CarbonImmutable::now());

        return self::shown($patient, 201);
    }

    public function live(Request $request, Patient $patient, string $uuid): JsonResponse
    {
        $after = $request->integer('after');

        return response()->json(Live::of(self::of($patient, $uuid), max(0, $after), $request->boolean('reading'), CarbonImmutable::now()));
    }

    public function end(Request $request, Patient $patient, string $uuid, RoomRecordings $recordings): JsonResponse
    {
        $recordings->end(self::of($patient, $uuid), $request->all(), CarbonImmutable::now());

        return self::shown($patient);
    }

    /** The samples go; what they said stays. */
    public function forget(Patient $patient, string $uuid, ForgetSamples $forget): JsonResponse
    {
        $forget([self::of($patient, $uuid)->id], CarbonImmutable::now());

        return self::shown($patient);
    }

    public function file(Patient $patient, string $uuid, string $type): Response
    {
        $recording = self::of($patient, $uuid);
        try {
            $bytes = $type === 'edf' ? TraceFile::edf($recording) : TraceFile::csv($recording);
        } catch (InvalidValue $problem) {
            abort(422, $problem->getMessage());
        }

        return response($bytes, 200, [
            'Content-Type' => $type === 'edf' ? 'application/octet-stream' : 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="trace-'.$recording->started_at->format('Y-m-d-Hi').".$type\"",
        ]);
    }

    public function read(
        Request $request,
        Patient $patient,
        #[CurrentUser] Practitioner $by,
        ReadTraceFile $read,
    ): JsonResponse {
        $most = intdiv(EdfReader::LARGEST, 1000);
        $request->validate(['file' => ['required', 'file', "max:$most"]], [
            'file.required' => 'Choose a file: EDF, EDF+ or a table (CSV).', 'file.file' => 'Choose a file: EDF, EDF+ or a table (CSV).',
            'file.max' => 'A trace has at most '.intdiv($most, 1000).' MB.', 'file.uploaded' => 'The file did not arrive whole. Try again.',
        ]);
        $file = $request->file('file');
        abort_unless($file instanceof UploadedFile, 422);
        $read($patient, $by, $file->getClientOriginalName(), (string) $file->getContent(), CarbonImmutable::now());

        return self::shown($patient, 201);
    }

    /** What the patient says in the room of whether traces stay. */
    public function agree(Request $request, Patient $patient, #[CurrentUser] Practitioner $by, SayOfTraces $say): JsonResponse
    {
        $request->validate(['kept' => ['required', 'boolean']]);
        $say($patient, $request->boolean('kept'), CarbonImmutable::now(), by: $by);

        return self::shown($patient);
    }

    /** Paces one after the other, as far as nothing warns of one for this patient. */
    public function paces(Patient $patient): JsonResponse
    {
        $comparison = SignalsPage::comparison($patient, CarbonImmutable::now());
        if (! $comparison->isPossible()) {
            throw ValidationException::withMessages(['kind' => 'Fewer than two paces may be led for this patient.']);
        }

        return response()->json(RoomPlay::of(
            'Comparison of paces', $comparison->timeline(), Figures::ridge(PaceComparison::item($comparison->paces[0])),
        ));
    }

    private static function of(Patient $patient, string $uuid): Recording
    {
        return Recording::query()->where('patient_id', $patient->id)->where('uuid', $uuid)->firstOrFail()->setRelation('patient', $patient);
    }

    private static function shown(Patient $patient, int $status = 200): JsonResponse
    {
        $now = CarbonImmutable::now();

        return response()->json([
            ...SignalsPage::recordings($patient, $now), 'sensors' => SignalsPage::sensors($patient, $now),
            'agreed' => TracesAgreed::by($patient),
        ], $status);
    }
}
