<?php

declare(strict_types=1);

namespace App\Http\Controllers\Clinic;

use App\Actions\Clinic\KeepOwnWork;
use App\Models\OwnQuestionnaire;
use App\Models\Practitioner;
use App\Records\RecordZip;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use IvoryPace\Exchange\QuestionnaireDocument;
use IvoryPace\Exchange\QuestionnaireReader;

/** Questionnaires that a clinic brings along, read from a FHIR file and given out as one. */
final class QuestionnaireController
{
    private const MOST_SHOWN = 8;

    public function store(Request $request, #[CurrentUser] Practitioner $by, KeepOwnWork $keep): RedirectResponse
    {
        $most = 'A questionnaire has at most '.QuestionnaireReader::MOST_BYTES / 1000 .' kB.';
        $choose = 'Choose the file, a FHIR Questionnaire as JSON.';
        $request->validate(['file' => ['required', 'file', 'max:'.QuestionnaireReader::MOST_BYTES / 1000]], [
            'file.required' => $choose, 'file.file' => $choose, 'file.max' => $most, 'file.uploaded' => $most,
        ]);
        $file = $request->file('file');
        abort_unless($file instanceof UploadedFile, 422);
        [$form, $errors] = QuestionnaireReader::read($file->getContent());
        if ($form === null) {
            throw ValidationException::withMessages(['file' => self::inWords($errors)]);
        }
        $keep(new OwnQuestionnaire, $by, $form->title, $form->write(), 'file');

        return back(fallback: '/clinic')->with('flash', "“{$form->title}” is asked under Measure from now on.");
    }

    public function show(OwnQuestionnaire $ownQuestionnaire): Response
    {
        $written = ['resourceType' => 'Questionnaire', ...QuestionnaireDocument::write($ownQuestionnaire->form())];

        return response(RecordZip::json($written), 200, [
            'Content-Type' => 'application/fhir+json', 'Content-Disposition' => 'attachment; filename="questionnaire.json"',
        ]);
    }

    public function destroy(OwnQuestionnaire $ownQuestionnaire): RedirectResponse
    {
        $ownQuestionnaire->delete();

        return back(fallback: '/clinic')->with('flash', "“{$ownQuestionnaire->name}” is not asked any more. What was answered stays.");
    }

    /** @param  array<string, string>  $errors */
    private static function inWords(array $errors): string
    {
        $lines = [];
        foreach (array_slice($errors, 0, self::MOST_SHOWN) as $path => $message) {
            $lines[] = $path === '/' ? $message : "$path: $message";
        }
        $more = count($errors) - count($lines);

        return implode(' ', $lines).($more > 0 ? " And $more more." : '').' Nothing of it is kept.';
    }
}
