<?php

declare(strict_types=1);

namespace App\Catalogue;

use IvoryPace\Exercise\Ladder\Climb;
use IvoryPace\Exercise\Ladder\Ladder;
use IvoryPace\Exercise\Ladder\Rung;

/** A ladder as it is shown: each rung with what it sets, its numbers, and how long to wait before it. */
final class LadderView
{
    /** @return array{edited: bool, rungs: list<array<string, mixed>>, caps: list<string>} */
    public static function of(Ladder $ladder, bool $isEdited): array
    {
        $technique = $ladder->rungs[0]->prescription->technique;

        return [
            'edited' => $isEdited,
            'rungs' => self::rungs($ladder),
            'caps' => array_map(fn (Climb $climb) => $climb->capLabel(), $technique->climbs($ladder->school)),
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function rungs(Ladder $ladder): array
    {
        return array_map(fn (Rung $rung) => [
            'change' => $rung->change(),
            'axis' => $rung->axis?->label(),
            'set' => (object) FieldsShown::of($rung->set),
            'days' => $rung->days,
            'cycle_s' => $rung->cycleSeconds(),
            'rate' => $rung->rate(),
            'minutes' => $rung->minutes(),
            'ridge' => Figures::ridge($rung->prescription),
        ], $ladder->rungs);
    }
}
