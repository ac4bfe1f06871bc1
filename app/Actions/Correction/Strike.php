<?php

declare(strict_types=1);

namespace App\Actions\Correction;

use App\Actions\Programme\RecheckProgramme;
use App\Guard\Trail;
use App\Models\Measurement;
use App\Models\Patient;
use App\Models\Practice;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use IvoryPace\Assessment\Measure;

/**
 * A value that was mistyped or is somebody else's, or a tick that was never on the paper, is struck: it stays readable with
 * its reason and counts no more. What it opened meanwhile, a red flag or a pause, stays until somebody has looked.
 */
final readonly class Strike
{
    public function __construct(private Trail $trail, private RecheckProgramme $recheck)
    {
    }

    public function measurement(Patient $patient, Measurement $value, Practitioner $by, string $reason): void
    {
        DB::transaction(function () use ($patient, $value, $by, $reason) {
            $this->strike($value, $by, $reason);
            $this->trail->changed(
                $value->symptom->name ?? $value->measure->label(), round($value->value, 1)." {$value->measure->unit()}", "struck: $reason",
            );
            if (in_array($value->measure, Measure::ofRules(), true)) {
                ($this->recheck)($patient);
            }
        });
    }

    /** @throws ValidationException unless it came from paper: what a device sent was practised */
    public function practice(Practice $practice, Practitioner $by, string $reason): void
    {
        if ($practice->source !== Practice::PAPER) {
            throw ValidationException::withMessages([
                'reason' => 'What a device sent stands. If it was the wrong patient’s device, say so on the Access page.',
            ]);
        }
        DB::transaction(function () use ($practice, $by, $reason) {
            $this->strike($practice, $by, $reason);
            $this->trail->changed('practice from paper', $practice->started_at, "taken back: $reason");
        });
    }

    private function strike(Measurement|Practice $row, Practitioner $by, string $reason): void
    {
        $row->update(['struck_at' => now(), 'struck_by' => $by->id, 'struck_reason' => $reason]);
    }
}
