<?php

declare(strict_types=1);

namespace App\Actions\Programme;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\Practitioner;
use Illuminate\Validation\ValidationException;
use IvoryPace\Safety\PauseRules;

/** A practitioner has looked at what paused an exercise and lets it go on. */
final class EndPause
{
    public function __construct(private readonly SettleFindings $settle)
    {
    }

    public function __invoke(Patient $patient, Pause $pause, Practitioner $by, string $lookedAt): void
    {
        if (
            $pause->rule === PauseRules::RED_FLAG && $pause->lineage === null
            && $patient->openRedFlags()->whereKey($pause->raised_red_flag_id)->exists()
        ) {
            throw ValidationException::withMessages(
                ['line' => 'A red flag is open. Record under Screening what was done about it, and that practice may go on.'],
            );
        }
        if ($pause->rule === PauseRules::NEW_FINDING) {
            ($this->settle)($patient, $by, $lookedAt, $pause->lineage);
        }
        $pause->newQuery()->whereKey($pause->id)->whereNull('until_at')->first()?->update([
            'until_at' => now(), 'ended_by' => $by->id, 'looked_at' => $lookedAt,
        ]);
    }
}
