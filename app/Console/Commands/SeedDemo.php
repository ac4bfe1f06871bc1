<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Clinic;
use Illuminate\Console\Command;

/** Fills an empty database with the demo clinics; leaves any other alone. */
final class SeedDemo extends Command
{
    protected $signature = 'demo:seed';

    protected $description = 'Fill an empty database with the demo clinics';

    public function handle(): int
    {
        if (Clinic::query()->exists()) {
            return self::SUCCESS;
        }
        $this->line('• Playing the demo patients through their programmes');

        return $this->callSilent('db:seed', ['--force' => true]);
    }
}
