<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Programme\RecheckProgramme;
use App\Models\Patient;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/**
 * Time passing is a fact: a pregnancy reaches 20 weeks, a flag comes to its end, a child turns 12 or 16. What follows from
 * it for the running programmes is looked at every day.
 */
final class RecheckProgrammes extends Command
{
    protected $signature = 'programmes:recheck';

    protected $description = 'Hold the running programmes against what has changed by time passing';

    public function handle(RecheckProgramme $recheck): int
    {
        $looked = 0;
        Patient::query()->whereHas('activeProgramme')->with(['latestScreening.answers', 'activeProgramme.versions.items'])
            ->chunkById(100, function ($patients) use ($recheck, &$looked) {
                foreach ($patients as $patient) {
                    DB::transaction(fn () => $recheck($patient, timePassed: true));
                    $looked++;
                }
            });
        $this->line("$looked programmes looked at.");

        return self::SUCCESS;
    }
}
