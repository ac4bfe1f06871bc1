<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Backup;
use Illuminate\Console\Command;

/** Notes that an archive was written, so that the Clinic page can say how old the last one is. */
final class NoteBackup extends Command
{
    protected $signature = 'backup:made {bytes : Size of the archive}';

    protected $description = 'Note that a backup was made';

    public function handle(): int
    {
        $bytes = $this->argument('bytes');
        if (! ctype_digit($bytes) || (int) $bytes === 0) {
            $this->error('The size is a number of bytes.');

            return self::FAILURE;
        }
        Backup::query()->create(['made_at' => now(), 'bytes' => (int) $bytes]);

        return self::SUCCESS;
    }
}
