<?php

declare(strict_types=1);

namespace App\Actions\Session;

use App\Models\CareSession;
use App\Models\Practitioner;
use App\Models\SessionNote;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Signs a session's note, which closes the session. From then on the note is only amended. */
final class SignNote
{
    /** @throws ValidationException */
    public function __invoke(CareSession $session, Practitioner $by, string $text): SessionNote
    {
        return DB::transaction(function () use ($session, $by, $text) {
            $session = CareSession::query()->lockForUpdate()->findOrFail($session->id);
            $note = $session->note()->with('practitioner')->first();
            if ($note !== null) {
                throw ValidationException::withMessages(['text' => "This note was signed by {$note->practitioner->name} already. "
                    .'Add an amendment instead; what you typed is still here.']);
            }
            $session->update(['closed_at' => now()]);

            return $session->note()->create(['text' => $text, 'practitioner_id' => $by->id, 'signed_at' => now()]);
        });
    }

    public function amend(CareSession $session, Practitioner $by, string $text, string $reason): void
    {
        $note = $session->note()->first();
        if ($note === null) {
            throw ValidationException::withMessages(['text' => 'This note is not signed yet: change it in its place.']);
        }
        $note->amendments()->create(['text' => $text, 'reason' => $reason, 'practitioner_id' => $by->id, 'signed_at' => now()]);
    }
}
