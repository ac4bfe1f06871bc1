<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Facts\Caseload\CaseloadLines;
use Illuminate\Console\Command;

/** Computes the lines of the caseload that have run out, so that nobody who opens it has to wait for that. */
final class RefreshCaseload extends Command
{
    protected $signature = 'caseload:refresh';

    protected $description = 'Compute the lines of the caseload that have run out';

    public function handle(): int
    {
        $this->line(CaseloadLines::refresh(now()).' lines computed.');

        return self::SUCCESS;
    }
}
