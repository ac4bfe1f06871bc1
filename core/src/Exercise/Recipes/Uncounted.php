<?php

declare(strict_types=1);

namespace IvoryPace\Exercise\Recipes;

use IvoryPace\Breath\CueKind;
use IvoryPace\Exercise\Prescription;
use IvoryPace\Exercise\Recipe;
use IvoryPace\Exercise\Told\Worded;

/** Minutes without a count: breathing freely, watching the breath, or slow movements one after the other. */
final readonly class Uncounted implements Recipe
{
    /** @param  int  $everyMs  the next thing comes this often */
    public function __construct(private CueKind $kind = CueKind::Free, private int $everyMs = 30_000)
    {
    }

    public function segments(Prescription $prescription): array
    {
        return [
            Cues::settle(),
            Cues::free(
                (float) $prescription->minutes, Worded::keys($prescription->technique->teaching->attention, $prescription),
                kind: $this->kind, everyMs: $this->everyMs,
            ),
        ];
    }

    public function cycles(Prescription $prescription): array
    {
        return [];
    }
}
