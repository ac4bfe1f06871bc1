<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Clinic;
use Carbon\CarbonImmutable;
use Database\Seeders\Demo\Promises;
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

        $result = $this->callSilent('db:seed', ['--force' => true]);
        foreach (Promises::broken(CarbonImmutable::now()) as $state => $problem) {
            $this->warn("  The demo does not show “{$state}”. $problem");
        }

        return $result;
    }
}
