<?php

declare(strict_types=1);

namespace App\Pages\Access;

use App\Device\Outbox\Kinds;
use App\Device\Outbox\Unchecked;
use App\Models\KeptAside;
use App\Models\Patient;

/** What signed-out devices of a patient sent, in words, for a practitioner to decide. */
final class KeptAsides
{
    private const MOST = 100;

    /** @return list<array<string, mixed>> urgent ones first */
    public static function of(Patient $patient): array
    {
        $waiting = $patient->keptAside()->with('device')->orderByDesc('is_urgent')->orderBy('received_at')->limit(self::MOST)->get();

        return array_values($waiting->map(fn (KeptAside $kept) => [
            'id' => $kept->id,
            'what' => Kinds::named($kept->kind)->describe(new Unchecked($kept->body)),
            'device' => $kept->device->label,
            'on' => $kept->received_at->setTimezone($patient->clinic->time_zone)->format('j M Y H:i'),
            'urgent' => $kept->is_urgent,
        ])->all());
    }
}
