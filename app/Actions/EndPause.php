<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Pause;
use App\Models\Practitioner;

/** A practitioner has looked at what paused an exercise and lets it go on. */
final class EndPause
{
    public function __invoke(Pause $pause, Practitioner $by, string $lookedAt): void
    {
        $pause->newQuery()->whereKey($pause->id)->whereNull('until_at')->first()?->update([
            'until_at' => now(), 'ended_by' => $by->id, 'looked_at' => $lookedAt,
        ]);
    }
}
