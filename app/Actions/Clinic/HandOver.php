<?php

declare(strict_types=1);

namespace App\Actions\Clinic;

use App\Facts\SharedWith;
use App\Models\Patient;
use App\Models\Practitioner;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Moves a patient to a colleague, shares the patient with one, or ends that. Each leaves a record. */
final class HandOver
{
    /**
     * @param  string  $kind  move, share or end-share
     * @return string what was done
     *
     * @throws ValidationException
     */
    public function __invoke(Patient $patient, Practitioner $by, string $kind, int $to, string $reason): string
    {
        return DB::transaction(function () use ($patient, $by, $kind, $to, $reason) {
            $patient = Patient::query()->lockForUpdate()->findOrFail($patient->id);
            $colleague = Practitioner::query()->where('clinic_id', $patient->clinic_id)
                ->when($kind !== 'end-share', fn ($query) => $query->whereNull('ended_at'))->find($to);
            $isShared = in_array($to, array_column(SharedWith::of($patient), 'id'), true);
            $problem = match (true) {
                $colleague === null => 'Choose a colleague of this clinic.',
                $kind !== 'end-share' && $colleague->id === $patient->practitioner_id => "{$colleague->name} is responsible already.",
                $kind === 'share' && $isShared => "{$colleague->name} shares this patient already.",
                $kind === 'end-share' && ! $isShared => "{$colleague->name} does not share this patient.",
                default => null,
            };
            if ($problem !== null) {
                throw ValidationException::withMessages(['to' => $problem]);
            }
            $patient->handovers()->create(
                ['kind' => $kind, 'to_id' => $colleague->id, 'by_id' => $by->id, 'reason' => $reason, 'at' => now()],
            );
            if ($kind === 'move') {
                $patient->update(['practitioner_id' => $colleague->id]);
            }

            return match ($kind) {
                'move' => "{$colleague->name} is responsible now.",
                'share' => "Shared with {$colleague->name}.",
                default => "No longer shared with {$colleague->name}.",
            };
        });
    }
}
