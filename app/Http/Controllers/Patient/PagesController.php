<?php

declare(strict_types=1);

namespace App\Http\Controllers\Patient;

use App\Catalogue\VoiceScript;
use App\Device\PatientSheet;
use App\Device\ProgressOf;
use App\Device\TodayOf;
use App\Facts\DiaryOf;
use App\Guard\Trail;
use App\Language\ConsentText;
use App\Models\Device;
use App\Models\TrailKind;
use App\Models\VoiceClip;
use App\Paper\Paper;
use App\Records\RecordZip;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What the patient's pages show. The device keeps it, so that it is there without a network. */
final class PagesController
{
    public function today(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return response()->json(TodayOf::patient($device->patient, now(), $device->owner()));
    }

    /** At hand before the PIN: it may be needed in a hurry. */
    public function asNeeded(#[CurrentUser('device')] Device $device): JsonResponse
    {
        abort_unless(ConsentText::isAcceptedFor($device->patient_id, $device->id), 409, __('patient.consent.first'));

        return response()->json(TodayOf::beforeThePin($device->patient, $device->owner()));
    }

    public function diary(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return response()->json(DiaryOf::patient($device->patient->load('activeProgramme.versions'), now()));
    }

    public function progress(#[CurrentUser('device')] Device $device): JsonResponse
    {
        return response()->json(ProgressOf::patient($device->patient, now()));
    }

    public function sheet(#[CurrentUser('device')] Device $device): JsonResponse
    {
        $patient = $device->patient->load('activeProgramme.versions.items');
        $version = $patient->activeProgramme?->versionOn($patient->dayOf(now()));

        return response()->json(['sheet' => $version === null ? null : PatientSheet::forDevice($version, $patient)]);
    }

    public function sheetPdf(Request $request, #[CurrentUser('device')] Device $device, Trail $trail): Response
    {
        $patient = $device->patient->load('activeProgramme.versions.items');
        $version = $patient->activeProgramme?->versionOn($patient->dayOf(now()));
        abort_if($version === null, 404, __('patient.today.no-programme'));

        $pdf = PatientSheet::pdf($version, $patient, Paper::asked($request->query('paper')));
        $trail->device($device, 'devices/sheet', TrailKind::Export);

        return response($pdf, 200, ['Content-Type' => 'application/pdf']);
    }

    /** A copy of everything that stands in the patient's record. */
    public function record(#[CurrentUser('device')] Device $device, Trail $trail): Response
    {
        $bytes = RecordZip::of($device->patient, PatientSheet::files($device->patient));
        $trail->device($device, 'devices/record', TrailKind::Export);

        return response($bytes, 200, ['Content-Type' => 'application/zip']);
    }

    public function voice(#[CurrentUser('device')] Device $device): JsonResponse
    {
        $hashes = VoiceClip::query()->where('practitioner_id', $device->patient->practitioner_id)->orderBy('id')
            ->limit(VoiceScript::MOST_CLIPS)->pluck('hash', 'line')->all();
        $lines = [];
        foreach (VoiceScript::alike() as $group) {
            $recorded = array_values(array_intersect_key($hashes, array_flip($group)));
            foreach ($recorded === [] ? [] : $group as $line) {
                $lines[] = ['line' => $line, 'hash' => $hashes[$line] ?? $recorded[0]];
            }
        }

        return response()->json(['lines' => $lines]);
    }

    /** A line as the patient's own practitioner has recorded it. */
    public function voiceLine(string $line, #[CurrentUser('device')] Device $device): Response
    {
        $alike = VoiceScript::alikeTo($line);
        $clips = VoiceClip::query()->where('practitioner_id', $device->patient->practitioner_id)->whereIn('line', $alike)
            ->orderBy('id')->get()->keyBy('line');
        $clip = $clips->get($line) ?? $clips->first() ?? abort(404);

        return response($clip->sound(), 200, ['Content-Type' => 'audio/wav']);
    }
}
