<?php

declare(strict_types=1);

namespace App\Actions\Session;

use App\Actions\Programme\NoteDecisions;
use App\Models\CareSession;
use App\Models\Practitioner;
use App\Models\SessionStep;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Session\Step;

/**
 * Keeps what is typed in a step. Two devices may have the same session open: whoever last saw an older text is shown
 * the newer one instead of overwriting it.
 */
final class KeepStep
{
    public function __construct(private readonly NoteDecisions $noteDecisions)
    {
    }

    /**
     * @param  array<string, mixed>  $content
     * @param  int  $revision  the one that this text was typed over; 0 for none
     * @return array{kept: bool, step: SessionStep} not kept when someone else was faster
     *
     * @throws ValidationException when the session's note is signed
     */
    public function __invoke(CareSession $session, Practitioner $by, Step $step, array $content, int $revision): array
    {
        return DB::transaction(function () use ($session, $by, $step, $content, $revision) {
            $session = CareSession::query()->lockForUpdate()->findOrFail($session->id);
            if ($session->closed_at !== null) {
                throw ValidationException::withMessages(
                    ['session' => 'The note of this session is signed. Add an amendment instead; what you typed is still here.'],
                );
            }
            $present = $session->steps()->where('step', $step)->with('practitioner')->first();
            if (($present->revision ?? 0) !== $revision && $present !== null) {
                return ['kept' => false, 'step' => $present];
            }
            $kept = $session->steps()->updateOrCreate(['step' => $step], [
                'content' => $content, 'revision' => $revision + 1, 'practitioner_id' => $by->id, 'kept_at' => now(),
            ]);

            if ($step === Step::Decide) {
                ($this->noteDecisions)($session, is_array($content['decisions'] ?? null) ? $content['decisions'] : []);
            }

            return ['kept' => true, 'step' => $kept];
        });
    }
}
