<?php

declare(strict_types=1);

namespace App\Actions\Correction;

use App\Guard\Trail;
use App\Models\CareSession;
use App\Models\MadeDecision;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A session that was begun by mistake is dropped: what was typed in it stays readable in the record, and it counts nowhere. */
final readonly class DropSession
{
    public function __construct(private Trail $trail)
    {
    }

    /** @throws ValidationException when its note is signed */
    public function __invoke(CareSession $session, Practitioner $by, string $reason): void
    {
        DB::transaction(function () use ($session, $by, $reason) {
            $session = CareSession::query()->lockForUpdate()->findOrFail($session->id);
            if ($session->closed_at !== null) {
                throw ValidationException::withMessages([
                    'reason' => $session->dropped_at === null
                        ? 'The note of this session is signed. Add an amendment instead.' : 'This session was dropped already.',
                ]);
            }
            MadeDecision::query()->where('care_session_id', $session->id)->delete();
            $session->update(['closed_at' => now(), 'dropped_at' => now(), 'dropped_by' => $by->id, 'drop_reason' => $reason]);
            $this->trail->changed("session {$session->number}", 'open', "dropped: $reason");
        });
    }
}
