<?php

declare(strict_types=1);

namespace App\Http\Controllers\Record;

use App\Actions\Letters\SignLetter;
use App\Models\Letter;
use App\Models\Patient;
use App\Models\Practitioner;
use App\Pages\Letters\LettersPage;
use Carbon\CarbonImmutable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Inertia\Inertia;
use Inertia\Response as Page;

/** Letters that were signed. */
final class LetterController
{
    public function index(Patient $patient): Page
    {
        return Inertia::render('Letters', LettersPage::all($patient, CarbonImmutable::now()));
    }

    public function pdf(Patient $patient, int $letter): Response
    {
        $found = self::find($patient, $letter);
        $bytes = $found->bytes() ?? abort(404, 'The paper of this letter cannot be read. Bring it back from a backup.');

        return response($bytes, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"letter-{$found->signed_at->format('Y-m-d')}.pdf\"",
        ]);
    }

    public function text(Patient $patient, int $letter): Response
    {
        $found = self::find($patient, $letter);

        return response($found->text, 200, [
            'Content-Type' => 'text/plain; charset=UTF-8',
            'Content-Disposition' => "attachment; filename=\"letter-{$found->signed_at->format('Y-m-d')}.txt\"",
        ]);
    }

    public function sent(
        Request $request,
        Patient $patient,
        int $letter,
        #[CurrentUser] Practitioner $by,
        SignLetter $sign,
    ): RedirectResponse {
        $request->validate(
            ['how' => ['required', 'string', 'min:3', 'max:120']],
            ['how.required' => 'Say how it was sent, as “by post”.', 'how.min' => 'Say how it was sent, as “by post”.'],
        );
        $sign->sent(self::find($patient, $letter), $by, $request->string('how')->trim()->value());

        return back(fallback: "/patients/{$patient->id}/letters")->with('flash', 'Noted.');
    }

    private static function find(Patient $patient, int $letter): Letter
    {
        return $patient->letters()->findOrFail($letter);
    }
}
