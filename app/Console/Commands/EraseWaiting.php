<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Records\EraseRecord;
use App\Models\Erasure;
use Illuminate\Console\Command;

/** What was written down and never reached the queue, because the machine stopped in between, is erased all the same. */
final class EraseWaiting extends Command
{
    private const MINUTES = 10;

    private const MOST = 200;

    protected $signature = 'records:erase-waiting';

    protected $description = 'Erases what was to be erased and was not';

    public function handle(): int
    {
        $late = Erasure::waiting()->where('asked_at', '<', now()->subMinutes(self::MINUTES))->orderBy('id')->limit(self::MOST)->pluck('id');
        foreach ($late as $id) {
            EraseRecord::dispatch((int) $id);
        }

        return self::SUCCESS;
    }
}
