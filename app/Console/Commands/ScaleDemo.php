<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Facts\Caseload\CaseloadLines;
use App\Models\Clinic;
use App\Models\Practitioner;
use App\Models\Role;
use Database\Seeders\Demo\Crowd;
use Illuminate\Console\Command;

/** Fills a database with many patients who have practised for long, to measure with. Never one that is in use. */
final class ScaleDemo extends Command
{
    public const EMAIL = 'scale@measured.example';

    private const MOST_PATIENTS = 5000;

    private const MOST_DAYS = 365;

    protected $signature = 'demo:scale {--patients=500} {--days=365}';

    protected $description = 'Fill a database for measuring with many patients';

    public function handle(): int
    {
        $patients = (int) $this->option('patients');
        $days = (int) $this->option('days');
        if ($patients < 1 || $patients > self::MOST_PATIENTS || $days < 3 || $days > self::MOST_DAYS) {
            $this->error('Between 1 and '.self::MOST_PATIENTS.' patients, and between 3 and '.self::MOST_DAYS.' days.');

            return self::FAILURE;
        }
        $others = Clinic::query()->whereDoesntHave('practitioners', fn ($people) => $people->where('email', self::EMAIL))->exists();
        if ($others || ! app()->environment('e2e', 'testing')) {
            $this->error(
                'This is for a database of its own, never for one that is in use: run it where APP_ENV is e2e and no other clinic is kept.',
            );

            return self::FAILURE;
        }
        $lead = Practitioner::query()->where('email', self::EMAIL)->first() ?? $this->lead();
        $practices = (new Crowd($lead, $days))->seed($patients);
        $lines = CaseloadLines::refresh(now());
        $this->line("$patients patients, $practices practices; $lines lines of the caseload computed.");

        return self::SUCCESS;
    }

    private function lead(): Practitioner
    {
        $clinic = Clinic::query()->create(
            [
                'name' => 'Measured Clinic', 'time_zone' => 'Europe/Lisbon', 'emergency_wording' => 'Call 112 now, or have someone call.',
                'crisis_number' => '808 200 204, the listening line',
            ],
        );

        return Practitioner::query()->create(
            [
                'clinic_id' => $clinic->id, 'name' => 'Scale Wren', 'profession' => 'physiotherapist', 'email' => self::EMAIL,
                'role' => Role::Lead, 'password' => 'lantern-over-quay',
            ],
        );
    }
}
