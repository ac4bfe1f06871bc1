<?php

declare(strict_types=1);

namespace App\Http\Controllers\Record;

use App\Actions\Records\ReadRecord;
use App\Device\PatientSheet;
use App\Http\Requests\RecordFileRequest;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Records\RecordZip;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** A whole record as a file, out and in. */
final class RecordFileController
{
    private const MOST_KB = 40_000;

    public function out(RecordFileRequest $request, Patient $patient): Response
    {
        return response(RecordZip::of($patient, PatientSheet::files($patient)), 200, [
            'Content-Type' => 'application/zip', 'Content-Disposition' => 'attachment; filename="record.zip"',
        ]);
    }

    public function in(Request $request, #[CurrentUser] Practitioner $by, ReadRecord $read): RedirectResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:'.self::MOST_KB]], [
            'file.required' => 'Choose the file, a record.zip.', 'file.file' => 'Choose the file, a record.zip.',
            'file.max' => 'A record has at most '.(self::MOST_KB / 1000).' MB.',
            'file.uploaded' => 'The file did not arrive whole. Try again; a record has at most '.(self::MOST_KB / 1000).' MB.',
        ]);
        $file = $request->file('file');
        abort_unless($file instanceof UploadedFile, 422);
        $patient = $read($file->getPathname(), $by);

        $said = "The record of {$patient->name} is read in. Devices and appointments were left behind: make a new link under Access.";

        return redirect("/patients/{$patient->id}/record")->with('flash', $said.(
            self::isHereTwice($patient) ? ' Another record here has this name and date of birth: join the two below.' : ''
        ));
    }

    private static function isHereTwice(Patient $patient): bool
    {
        return Patient::query()->where('clinic_id', $patient->clinic_id)->where('name', $patient->name)
            ->where('birth_date', $patient->birth_date->format('Y-m-d'))->whereKeyNot($patient->id)->exists();
    }
}
