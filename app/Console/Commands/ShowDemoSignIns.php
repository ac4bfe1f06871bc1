<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Practitioner;
use Database\Seeders\Demo\DemoSeeder;
use Illuminate\Console\Command;

final class ShowDemoSignIns extends Command
{
    protected $signature = 'demo:sign-ins';

    protected $description = 'Show with what the demo practitioners sign in';

    public function handle(): int
    {
        $this->line('Sign in as');
        foreach (Practitioner::query()->whereNull('ended_at')->with('clinic')->orderBy('id')->limit(20)->get() as $practitioner) {
            $this->line(
                sprintf(
                    '  %-28s %s, %s, %s', $practitioner->email, $practitioner->name, $practitioner->profession, $practitioner->clinic->name,
                ),
            );
        }
        $this->line('  each with the password '.DemoSeeder::PASSWORD);
        $this->newLine();
        $this->line('To practise as a patient, open a patient, then Access, and make a link.');

        return self::SUCCESS;
    }
}
