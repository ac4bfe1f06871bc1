<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Clinic;
use App\Models\Founding;
use Illuminate\Console\Command;

/** Makes the address at which a clinic is founded: whoever may run this may let somebody found one. */
final class FoundClinic extends Command
{
    protected $signature = 'clinic:found {--first : Only while there is no clinic here}';

    protected $description = 'Make an address at which somebody founds a clinic, once';

    public function handle(): int
    {
        if ($this->option('first') && Clinic::query()->exists()) {
            $this->line('A clinic is founded here. Sign in there.');

            return self::SUCCESS;
        }
        $this->line('Found a clinic at  '.url('/found').'#'.Founding::begin());
        $this->line('  once, within '.Founding::DAYS.' days. Hand it over as you would a key.');
        $this->line('  An address that was made before works no more.');

        return self::SUCCESS;
    }
}
