<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Guard\Keys\Rotation;
use Illuminate\Console\Command;

/** The last step of bin/rotate-key: what stands encrypted is encrypted anew. */
final class RotateKey extends Command
{
    /** Begins before all of it is done. */
    private const UNFINISHED = 2;

    protected $signature = 'key:rotate {--most= : stop after so many cells; the next run goes on} {--left : only say how many are left}';

    protected $description = 'Encrypts the database anew under the present key (as the keeper)';

    public function handle(): int
    {
        $rotation = new Rotation;
        if ($this->option('left') === true) {
            $this->line((string) $rotation->left());

            return self::SUCCESS;
        }
        if (config()->array('app.previous_keys') === []) {
            $this->info('There is no earlier key: nothing is to be done.');

            return self::SUCCESS;
        }
        $most = $this->option('most');
        foreach ($rotation->run(is_numeric($most) ? max(1, (int) $most) : PHP_INT_MAX) as $at) {
            $this->line(sprintf('  %-20s %7d of %d', $at['table'], $at['done'], $at['all']));
        }
        if ($rotation->unreadable() > 0) {
            $this->warn("{$rotation->unreadable()} cells open with none of the keys; they stay as they are.");
        }
        $left = $rotation->left();
        if ($left === 0) {
            $this->info('Everything stands under the present key.');

            return self::SUCCESS;
        }
        $this->info("$left cells are left. Run it again; what is done is done.");

        return self::UNFINISHED;
    }
}
