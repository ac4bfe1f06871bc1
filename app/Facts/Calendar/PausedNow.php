<?php

declare(strict_types=1);

namespace App\Facts\Calendar;

use App\Models\Patient;
use App\Models\Pause;
use App\Models\Programme;
use App\Models\ProgrammeItem;
use App\Models\ProgrammeVersion;
use Carbon\CarbonImmutable;

/** Which exercises of a programme are paused: nobody is reminded of these. */
final class PausedNow
{
    private const MOST = 50;

    /** @return list<string> lineages */
    public static function lineages(Patient $patient, Programme $programme, CarbonImmutable $now): array
    {
        $pauses = $patient->pauses()->holding($now)->limit(self::MOST)->get();
        $rows = $programme->versions->flatMap(fn (ProgrammeVersion $version) => $version->items);
        $paused = $rows->filter(fn (ProgrammeItem $row) => $pauses->contains(
            fn (Pause $pause) => $pause->concerns($row->lineage, $row->likeness()),
        ));

        return array_values($paused->map(fn (ProgrammeItem $row) => $row->lineage)->unique()->all());
    }
}
