<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\Handover;
use App\Models\Patient;

/** The colleagues with whom a patient is shared: the last word about each counts. */
final class SharedWith
{
    private const MOST = 100;

    /** @return list<array{id: int, name: string}> */
    public static function of(Patient $patient): array
    {
        $latest = $patient->handovers()->with('to')->whereIn('kind', ['share', 'end-share'])->orderBy('id')->limit(self::MOST)->get()
            ->keyBy('to_id');

        return array_values($latest->filter(
            fn (Handover $handover) => $handover->kind === 'share' && $handover->to_id !== $patient->practitioner_id,
        )
            ->map(fn (Handover $handover) => ['id' => $handover->to_id, 'name' => $handover->to->name])->all());
    }
}
